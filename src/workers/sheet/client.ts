import { transfer, wrap, type Remote } from 'comlink';
import { fail, ok, type Result } from '@/core/shared';
import type { SheetImages } from '@/core/sheet/pdf';
import type { Running } from '../running';
import type { Band, PageRaster, SheetCode, SheetOrder, SheetSpent, SheetWorker } from './protocol';
import { WORKER_SPEAKS } from '@/words/language';
import { say } from '@/words/say';

interface Hand {
  worker: Worker;
  remote: Remote<SheetWorker>;
}

const create = (): Hand => {
  const worker = new Worker(new URL('./sheet.worker.ts', import.meta.url), WORKER_SPEAKS);
  return { worker, remote: wrap<SheetWorker>(worker) };
};

/** Hands that did a sheet to its end, kept a while for the next one, with nothing open in them. */
const resting = new Map<Hand, ReturnType<typeof setTimeout>>();
const REST_MS = 30_000;

function take(): Hand {
  const [rested] = resting.keys();
  if (!rested) return create();
  clearTimeout(resting.get(rested));
  resting.delete(rested);
  return rested;
}

function lay(hand: Hand): void {
  hand.worker.onerror = null;
  resting.set(
    hand,
    setTimeout(() => {
      resting.delete(hand);
      hand.worker.terminate();
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
  private readonly hired: Hand[] = [];
  /** Those that have the sheet open. */
  readonly hands: Remote<SheetWorker>[] = [];
  constructor(private readonly broke: (reason: string) => void) {}

  private hire(): Hand {
    const hand = take();
    hand.worker.onerror = (event) => this.broke(event.message || say`the worker stopped`);
    this.hired.push(hand);
    return hand;
  }

  /** The first worker decodes, while the others start; they share its frames, where there are some. */
  async open(order: SheetOrder, wanted: number): Promise<Result<void, SheetCode>> {
    const [leader, ...others] = Array.from({ length: wanted }, () => this.hire().remote);
    const first = await leader!.open(order, null);
    if (!first.ok) return first;
    this.hands.push(leader!);
    const frames = first.value;
    if (frames.every((frame) => frame !== null))
      await Promise.all(
        others.map(async (other) => {
          const clones = frames.map((frame) => frame.clone());
          await other.open(order, transfer(clones, clones));
          this.hands.push(other);
        }),
      );
    for (const frame of frames) frame?.close();
    return ok(undefined);
  }

  /** Closes what is open in them. A worker that fails at it is ended. */
  async rest(): Promise<(SheetSpent | null)[]> {
    return Promise.all(
      this.hired.splice(0).map((hand) =>
        hand.remote.close().then(
          (spent) => {
            lay(hand);
            return spent;
          },
          () => {
            hand.worker.terminate();
            return null;
          },
        ),
      ),
    );
  }

  end(): void {
    for (const { worker } of this.hired.splice(0)) worker.terminate();
  }
}

function startCrew<T>(
  run: (crew: Crew) => Promise<Result<T, SheetCode>>,
  onSpent?: (spent: (SheetSpent | null)[]) => void,
): Running<Result<T, SheetCode>> {
  let settle: (value: Result<T, SheetCode> | null) => void = () => undefined;
  const crew = new Crew((reason) => settle(fail('sheet-failed', reason)));
  const done = new Promise<Result<T, SheetCode> | null>((resolve) => {
    settle = resolve;
    run(crew).then(
      (made) => {
        resolve(made);
        void crew.rest().then(onSpent);
      },
      (error: unknown) => settle(fail('sheet-failed', error instanceof Error ? error.message : String(error))),
    );
  }).finally(() => crew.end());
  return { done, cancel: () => settle(null) };
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
    const opened = await crew.open(order, crewSize(bands.length));
    if (!opened.ok) return opened;
    onProgress(DECODED);
    const jpegs = new Map<Band, Uint8Array<ArrayBuffer>>();
    const waiting = [...bands];
    let failure: Result<never, SheetCode> | null = null;
    await Promise.all(
      crew.hands.map(async (hand) => {
        for (let band = waiting.shift(); band && !failure; band = waiting.shift()) {
          const made = await hand.band(band);
          if (!made.ok) {
            failure = made;
            return;
          }
          jpegs.set(band, made.value);
          onProgress(DECODED + ((BANDS_DONE - DECODED) * jpegs.size) / bands.length);
        }
      }),
    );
    if (failure) return failure;
    const images: SheetImages = order.pack.pages.map((layout, page) =>
      layout.places.map((_, place) =>
        bands
          .filter((band) => band.page === page && band.place === place)
          .map((band) => ({ top: band.top, rows: band.rows, jpeg: jpegs.get(band) ?? new Uint8Array() })),
      ),
    );
    const pdf = await crew.hands[0]!.write(
      transfer(
        images,
        [...jpegs.values()].map((jpeg) => jpeg.buffer),
      ),
    );
    onProgress(1);
    return ok(pdf);
  }, onSpent);
}

/** One page as a PNG that knows its density. */
export const makePagePng = (order: SheetOrder, page: number): Running<Result<Uint8Array<ArrayBuffer>, SheetCode>> =>
  startCrew(async (crew) => {
    const opened = await crew.open(order, 1);
    if (!opened.ok) return opened;
    const {
      page: { widthMm, heightMm },
      rasterPpi,
    } = order.pack.pages[page]!;
    const ppi = Math.min(rasterPpi, Math.floor(25.4 * Math.sqrt(MOST_PAGE_PX / (widthMm * heightMm))));
    return crew.hands[0]!.pagePng(page, ppi);
  });

/** Every page at a low density, as it should come out of the printer. */
export const drawPages = (order: SheetOrder, pxPerMm: number): Running<Result<PageRaster[], SheetCode>> =>
  startCrew(async (crew) => {
    const opened = await crew.open(order, 1);
    if (!opened.ok) return opened;
    const pages: PageRaster[] = [];
    for (const page of order.pack.pages.keys()) {
      const drawn = await crew.hands[0]!.pageRaster(page, pxPerMm);
      if (!drawn.ok) return drawn;
      pages.push(drawn.value);
    }
    return ok(pages);
  });
