import { DENSITY, type ExpectedPage, type ProofVerdict } from '@/core/proof';
import { fail, type Result } from '@/core/shared';
import type { SheetLayout } from '@/core/sheet';
import { startWorker, type Running } from '../running';
import { drawPages } from '../sheet/client';
import type { PageRaster, SheetCode, SheetOrder } from '../sheet/protocol';
import type { ProofJob, ProofJobCode } from './protocol';

const create = () => new Worker(new URL('./proof.worker.ts', import.meta.url), { type: 'module' });
const DRAWN = 0.4;

const expectedPage = (layout: SheetLayout, { rgba, widthPx, heightPx }: PageRaster): ExpectedPage => ({
  raster: { data: rgba, width: widthPx, height: heightPx },
  page: layout.page,
  places: layout.places.map(({ place }) => place),
  strip: layout.strip.rect,
  landscape: layout.orientation === 'landscape',
});

/** Draws the pages as they were sent, then reads a photo of one against them. */
export function checkProof(
  photo: Blob,
  sent: SheetOrder,
  onProgress: (share: number) => void,
): Running<Result<ProofVerdict, ProofJobCode | SheetCode>> {
  const drawing = drawPages(sent, DENSITY);
  let reading: Running<Result<ProofVerdict, ProofJobCode | SheetCode>> | null = null;
  const done = drawing.done.then(async (drawn): Promise<Result<ProofVerdict, ProofJobCode | SheetCode> | null> => {
    if (!drawn?.ok) return drawn;
    onProgress(DRAWN);
    const pages = drawn.value.map((raster, at) => expectedPage(sent.pack.pages[at]!, raster));
    reading = startWorker<ProofJob, Result<ProofVerdict, ProofJobCode | SheetCode>>(
      create,
      (job) => job.read({ photo, pages }),
      (reason) => fail('proof-failed', reason),
    );
    return reading.done;
  });
  return {
    done,
    cancel: () => {
      drawing.cancel();
      reading?.cancel();
    },
  };
}
