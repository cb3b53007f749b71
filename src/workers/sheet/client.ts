import { transfer, type Remote } from 'comlink';
import { fail, ok, type Result } from '@/core/shared';
import type { SheetImages } from '@/core/sheet/pdf';
import { WorkerLife, type Running } from '../running';
import type { Band, PageRaster, SheetCode, SheetOrder, SheetSpent, SheetWorker } from './protocol';
import { WORKER_SPEAKS } from '@/words/language';

/** One of those that share the work on a sheet. */
type SheetThread = WorkerLife<SheetWorker>;

const create = (): SheetThread =>
  new WorkerLife<SheetWorker>(() => new Worker(new URL('./sheet.worker.ts', import.meta.url), WORKER_SPEAKS));
const failed = (reason: string) => fail('sheet-failed', reason);

/** Threads that did a sheet to its end, kept a while for the next one, with nothing open in them. */
const resting = new Map<SheetThread, ReturnType<typeof setTimeout>>();
const REST_MS = 30_000;

function takeThread(): SheetThread {
  const [rested] = resting.keys();
  if (!rested) return create();
  clearTimeout(resting.get(rested));
  resting.delete(rested);
  return rested.isAlive ? rested : takeThread();
}

function putToRest(thread: SheetThread): void {
  resting.set(
    thread,
    setTimeout(() => {
      resting.delete(thread);
      thread.end();
    }, REST_MS),
  );
}

/** Larger canvases are refused, silently, by small devices; several bands keep every worker busy. */
const MOST_BAND_PX = 3_000_000;
/** Rows that a band goes on under the next, so that no viewer shows a line between them. A block of JPEG. */
const BAND_OVERLAP = 8;
const MOST_WORKERS = 4;
/** A page as a picture is no larger than this. */
const MOST_PAGE_PX = 16_000_000;
const DECODED = 0.1;
const BANDS_DONE = 0.97;

/** How a print's pages are cut into bands: a single print into as many for each worker. */
function bandsOf({ pack }: SheetOrder): Band[] {
  const isSingle = pack.pages.length === 1 && pack.pages[0]!.places.length === 1;
  return pack.pages.flatMap((layout, page) =>
    layout.places.flatMap(({ rasterPx: { widthPx, heightPx } }, place) => {
      const least = Math.ceil((widthPx * heightPx) / MOST_BAND_PX);
      const each = isSingle && least > 1 ? crewSize(least) : 1;
      const count = Math.ceil(least / each) * each;
      const rows = Math.ceil(heightPx / count);
      return Array.from({ length: count }, (_, index) => ({
        page,
        place,
        top: index * rows,
        rows: Math.min(heightPx - index * rows, rows + (index < count - 1 ? BAND_OVERLAP : 0)),
      })).filter((band) => band.rows > 0);
    }),
  );
}

/** Workers with a sheet open in them. Stopping it ends them at once; those that came to the end rest. */
class Crew {
  private readonly hired: SheetThread[] = [];
  /** Those that have the sheet open. */
  private readonly open: SheetThread[] = [];
  private isOver = false;

  /** The first worker decodes, while the others start; they share its frames, where there are some. */
  async take(order: SheetOrder, wanted: number): Promise<Result<void, SheetCode>> {
    const [leader, ...others] = Array.from({ length: wanted }, () => takeThread());
    this.hired.push(leader!, ...others);
    others.forEach((other) => other.warm());
    const opened = await this.ask(leader!, (job) => job.open(order, null));
    if (!opened.ok) return opened;
    this.open.push(leader!);
    const frames = opened.value;
    if (frames.every((frame) => frame !== null))
      await Promise.all(
        others.map(async (other) => {
          const clones = frames.map((frame) => frame.clone());
          const also = await this.ask(other, (job) => job.open(order, transfer(clones, clones)));
          if (also.ok) this.open.push(other);
        }),
      );
    for (const frame of frames) frame?.close();
    return ok(undefined);
  }

  /** What one of them does with the sheet. One that ended has it open no more. */
  lead<T>(run: (job: Remote<SheetWorker>) => Promise<Result<T, SheetCode>>): Promise<Result<T, SheetCode>> {
    return this.ask(this.open[0]!, run);
  }

  /** Shares tasks out, each to whoever is free. @returns the first failure */
  async share<T>(
    tasks: readonly T[],
    run: (job: Remote<SheetWorker>, task: T) => Promise<Result<void, SheetCode>>,
  ): Promise<Result<void, SheetCode>> {
    const waiting = [...tasks];
    let failure: Result<void, SheetCode> = ok(undefined);
    await Promise.all(
      this.open.map(async (thread) => {
        for (let task = waiting.shift(); task !== undefined && failure.ok; task = waiting.shift()) {
          const next = task;
          const done = await this.ask(thread, (job) => run(job, next));
          if (!done.ok) failure = done;
        }
      }),
    );
    return failure;
  }

  /** Closes what is open in them. A worker that fails at it is ended. */
  async rest(): Promise<(SheetSpent | null)[]> {
    return Promise.all(
      this.hired.splice(0).map(async (thread) => {
        const closed = thread.isAlive
          ? await thread.ask<SheetSpent | null>(
              (job) => job.close(),
              () => null,
            ).done
          : null;
        if (closed) putToRest(thread);
        else thread.end();
        return closed;
      }),
    );
  }

  end(): void {
    this.isOver = true;
    for (const thread of this.hired.splice(0)) thread.end();
  }

  /** Nothing more once it is over: a worker that was ended would be started anew. */
  private async ask<T>(
    thread: SheetThread,
    run: (job: Remote<SheetWorker>) => Promise<Result<T, SheetCode>>,
  ): Promise<Result<T, SheetCode>> {
    if (this.isOver) return CANCELLED;
    return (await thread.ask<Result<T, SheetCode>>(run, failed).done) ?? CANCELLED;
  }
}

const CANCELLED = failed('cancelled');

function startCrew<T>(
  run: (crew: Crew) => Promise<Result<T, SheetCode>>,
  onSpent?: (spent: (SheetSpent | null)[]) => void,
): Running<Result<T, SheetCode>> {
  const crew = new Crew();
  let cancel: (nothing: null) => void = () => undefined;
  const cancelled = new Promise<null>((resolve) => {
    cancel = resolve;
  });
  const made = run(crew).then(
    (result) => {
      void crew.rest().then(onSpent);
      return result;
    },
    (error: unknown) => failed(error instanceof Error ? error.message : String(error)),
  );
  return { done: Promise.race([made, cancelled]).finally(() => crew.end()), cancel: () => cancel(null) };
}

const crewSize = (tasks: number): number =>
  Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency || 1, tasks));

/** Makes a sheet's PDF, its bands shared by as many workers as there are cores, with progress from 0 to 1. */
export function makeSheet(
  order: SheetOrder,
  onProgress: (share: number) => void,
  onSpent?: (spent: (SheetSpent | null)[]) => void,
): Running<Result<Uint8Array<ArrayBuffer>, SheetCode>> {
  return startCrew(async (crew) => {
    const bands = bandsOf(order);
    const opened = await crew.take(order, crewSize(bands.length));
    if (!opened.ok) return opened;
    onProgress(DECODED);
    const jpegs = new Map<Band, Uint8Array<ArrayBuffer>>();
    const drawn = await crew.share(bands, async (job, band) => {
      const made = await job.band(band);
      if (!made.ok) return made;
      jpegs.set(band, made.value);
      onProgress(DECODED + ((BANDS_DONE - DECODED) * jpegs.size) / bands.length);
      return ok(undefined);
    });
    if (!drawn.ok) return drawn;
    const images: SheetImages = order.pack.pages.map((layout, page) =>
      layout.places.map((_, place) =>
        bands
          .filter((band) => band.page === page && band.place === place)
          .map((band) => ({ top: band.top, rows: band.rows, jpeg: jpegs.get(band) ?? new Uint8Array() })),
      ),
    );
    const pdf = await crew.lead(async (job) =>
      ok(
        await job.write(
          transfer(
            images,
            [...jpegs.values()].map((jpeg) => jpeg.buffer),
          ),
        ),
      ),
    );
    onProgress(1);
    return pdf;
  }, onSpent);
}

/** One page as a PNG that knows its density. */
export const makePagePng = (order: SheetOrder, page: number): Running<Result<Uint8Array<ArrayBuffer>, SheetCode>> =>
  startCrew(async (crew) => {
    const opened = await crew.take(order, 1);
    if (!opened.ok) return opened;
    const {
      page: { widthMm, heightMm },
      rasterPpi,
    } = order.pack.pages[page]!;
    const ppi = Math.min(rasterPpi, Math.floor(25.4 * Math.sqrt(MOST_PAGE_PX / (widthMm * heightMm))));
    return crew.lead((job) => job.pagePng(page, ppi));
  });

/** Every page at a low density, as it should come out of the printer. */
export const drawPages = (order: SheetOrder, pxPerMm: number): Running<Result<PageRaster[], SheetCode>> =>
  startCrew(async (crew) => {
    const opened = await crew.take(order, 1);
    if (!opened.ok) return opened;
    const pages: PageRaster[] = [];
    for (const page of order.pack.pages.keys()) {
      const drawn = await crew.lead((job) => job.pageRaster(page, pxPerMm));
      if (!drawn.ok) return drawn;
      pages.push(drawn.value);
    }
    return ok(pages);
  });
