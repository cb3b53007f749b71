import { execFileSync } from 'node:child_process';
import sharp from 'sharp';

export interface Page {
  widthPx: number;
  heightPx: number;
  mm: (px: number) => number;
  px: (mm: number) => number;
  at: (xMm: number, yMm: number) => number[];
  pixel: (x: number, y: number) => number[];
}

/** The page box in mm, by poppler. */
export function pageBoxMm(pdf: string): { widthMm: number; heightMm: number; pages: number } {
  const info = execFileSync('pdfinfo', ['-box', pdf], { encoding: 'utf8' });
  const [, width, height] = /MediaBox:\s+0.00\s+0.00\s+([\d.]+)\s+([\d.]+)/.exec(info) ?? [];
  return {
    widthMm: (Number(width) / 72) * 25.4,
    heightMm: (Number(height) / 72) * 25.4,
    pages: Number(/Pages:\s+(\d+)/.exec(info)?.[1]),
  };
}

/** The first page drawn by poppler without smoothing. */
export async function drawPage(pdf: string, ppi = 508): Promise<Page> {
  execFileSync('pdftoppm', ['-r', String(ppi), '-png', '-singlefile', '-aa', 'no', '-aaVector', 'no', pdf, pdf]);
  const { data, info } = await sharp(`${pdf}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const pixel = (x: number, y: number) => [...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3)];
  const px = (mm: number) => Math.round((mm / 25.4) * ppi);
  return {
    widthPx: info.width,
    heightPx: info.height,
    px,
    mm: (at) => (at / ppi) * 25.4,
    pixel,
    at: (x, y) => pixel(px(x), px(y)),
  };
}

const isColoured = ([r, g, b]: number[]) => Math.max(r, g, b) - Math.min(r, g, b) > 60;
const isDark = ([r, g, b]: number[]) => r + g + b < 250;

/** Where the coloured print lies on a page, mm. */
export function findPrint(page: Page): { xMm: number; yMm: number; widthMm: number; heightMm: number } {
  // Off the middle, where marks stand and the quarters meet.
  const edges = (length: number, seen: (at: number) => boolean) => {
    const found = Array.from({ length }, (_, at) => at).filter(seen);
    return { from: found[0], to: found[found.length - 1] + 1 };
  };
  const middleRow = Math.round(page.heightPx * 0.4);
  const across = edges(page.widthPx, (x) => isColoured(page.pixel(x, middleRow)));
  const column = Math.round(across.from + (across.to - across.from) * 0.3);
  const down = edges(page.heightPx, (y) => isColoured(page.pixel(column, y)));
  return {
    xMm: page.mm(across.from),
    yMm: page.mm(down.from),
    widthMm: page.mm(across.to - across.from),
    heightMm: page.mm(down.to - down.from),
  };
}

/** The longest unbroken dark line on the page, across or along, mm: the check bar. */
export function longestDarkLineMm(page: Page, outside: { yMm: number; heightMm: number }): number {
  let longest = 0;
  for (let y = page.px(outside.yMm + outside.heightMm) + 2; y < page.heightPx; y++) {
    let run = 0;
    for (let x = 0; x < page.widthPx; x++) {
      run = isDark(page.pixel(x, y)) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
  }
  return page.mm(longest);
}

export const closestCorner = <K extends string>(colour: number[], corners: Readonly<Record<K, readonly number[]>>): K =>
  (Object.keys(corners) as K[]).sort((a, b) => distance(colour, corners[a]) - distance(colour, corners[b]))[0];

const distance = (a: readonly number[], b: readonly number[]) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
