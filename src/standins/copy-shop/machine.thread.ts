/**
 * The machine's own thread: a page that takes its time, or all its memory, holds nobody else up. Bundled by the build.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { measurePdf, printProof } from './reading';
import type { ThreadOrder } from './thread';

const order = workerData as ThreadOrder;
const answer =
  order.kind === 'measure' ? await measurePdf(order.pdf) : await printProof(order.pdf, order.page, order.options);
parentPort?.postMessage(answer);
