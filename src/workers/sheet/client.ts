import { transfer, wrap, type Remote } from 'comlink';
import { fail, ok, type Result } from '@/core/shared';
import type { SheetImages } from '@/core/sheet/pdf';
import type { Running } from '../running';
import type { Band, PageRaster, SheetCode, SheetOrder, SheetWorker } from './protocol';

const create = () => new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module' });

/** Larger canvases are refused, silently, by small devices; several bands keep every worker busy. */
const MOST_BAND_PX = 3_000_000;
/** Rows that a band goes on under the next, so that no viewer shows a line between them. A block of JPEG. */
const BAND_OVERLAP = 8;
const MOST_WORKERS = 4;
/** A page as a picture is no larger than this. */
const MOST_PAGE_PX = 16_000_000;
const DECODED = 0.1;
const BANDS_DONE = 0.97;

/** How a print's pages are cut into bands. */
function bandsOf({ pack }: SheetOrder): Band[] {
  return pack.pages.flatMap((layout, page) =>
    layout.places.flatMap(({ rasterPx: { widthPx, heightPx } }, place) => {
      const count = Math.ceil((widthPx * heightPx) / MOST_BAND_PX);
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

/** Workers with a sheet open in them. Ending it ends them at once. */
class Crew {
  private readonly workers: Worker[] = [];
  readonly hands: Remote<SheetWorker>[] = [];
  private ended = false;
  constructor(private readonly broke: (reason: string) => void) {}

  private hire(): Remote<SheetWorker> {
    const worker = create();
    worker.onerror = (event) => this.broke(event.message || 'the worker stopped');
    this.workers.push(worker);
    const hand = wrap<SheetWorker>(worker);
    this.hands.push(hand);
    return hand;
  }

  /** The first worker decodes; the others share its frames, where there are some. */
  async open(order: SheetOrder, wanted: number): Promise<Result<void, SheetCode>> {
    const first = await this.hire().open(order, null);
    if (!first.ok) return first;
    const frames = first.value;
    const shared = frames.every((frame) => frame !== null);
    const others = this.ended || !shared ? 0 : wanted - 1;
    await Promise.all(
      Array.from({ length: others }, async () => {
        const clones = frames.map((frame) => frame?.clone() ?? null);
        await this.hire().open(
          order,
          transfer(
            clones,
            clones.filter((frame) => frame !== null),
          ),
        );
      }),
    );
    for (const frame of frames) frame?.close();
    return ok(undefined);
  }

  end(): void {
    this.ended = true;
    for (const worker of this.workers) worker.terminate();
  }
}

function startCrew<T>(run: (crew: Crew) => Promise<Result<T, SheetCode>>): Running<Result<T, SheetCode>> {
  let settle: (value: Result<T, SheetCode> | null) => void = () => undefined;
  const crew = new Crew((reason) => settle(fail('sheet-failed', reason)));
  const done = new Promise<Result<T, SheetCode> | null>((resolve) => {
    settle = resolve;
    run(crew).then(resolve, (error: unknown) =>
      resolve(fail('sheet-failed', error instanceof Error ? error.message : String(error))),
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
  });
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
