/**
 * A simulated copy shop: what its one machine can do, what it charges, and how it is slightly wrong. All invented, the
 * same for the same job. It takes PDFs only, prints on the papers it has, leaves more white than a home printer, and
 * stretches a little.
 */
import type { ShopCode } from '@/records';
import { fail, ok, type Result, MS_PER_MINUTE } from '@/core/shared';

export const SHOP_NAME = 'Quillet Lane copies';

export interface ShopOptions {
  copies: number;
  colour: boolean;
  paper: 'bond-80' | 'bond-120' | 'liner';
  fit: boolean;
}
export interface ShopJob {
  pages: readonly { widthMm: number; heightMm: number }[];
  bytes: number;
}
export interface ShopQuote {
  number: string;
  price: number;
  pages: number;
  copies: number;
  readyAt: number;
  /** What a person should know of the machine. */ notes: readonly ('fits' | 'margin')[];
}

/** Across and along the feed; what stays white; share of the darkness that comes out. */
export const MACHINE = { across: 0.9968, along: 1.0025, marginMm: 4.2, kept: 0.9, shiftMm: [0.6, -0.4] } as const;
export const MOST_BYTES = 80 * 1024 * 1024;
export const MOST_PAGES = 60;
const MOST_COPIES = 99;
const PAPERS_MM = [
  [215.9, 279.4],
  [215.9, 355.6],
  [279.4, 431.8],
  [210, 297],
  [297, 420],
] as const;
const SAME_MM = 0.6;
const PRICE = { setUp: 0.6, colour: 0.45, grey: 0.12, large: 2, heavy: 0.08 } as const;
const SET_UP_MINUTES = 15;
const SECONDS_A_PAGE = 20;
const OPENS_AT = 9;
const CLOSES_AT = 18;
const LARGE_MM = 360;

const isPaper = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }): boolean => {
  const [short, long] = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
  return PAPERS_MM.some(([w, h]) => Math.abs(w - short) < SAME_MM && Math.abs(h - long) < SAME_MM);
};

/** @param now epoch ms; the shop works from nine to six, not on Sundays */
export function quote(
  job: ShopJob,
  { copies, colour, paper, fit }: ShopOptions,
  now: number,
): Result<ShopQuote, ShopCode> {
  if (job.bytes > MOST_BYTES) return fail('shop-too-large', `expected at most ${MOST_BYTES} bytes, got ${job.bytes}`);
  if (job.pages.length === 0) return fail('shop-no-pages', 'expected a page, got none');
  if (!Number.isInteger(copies) || copies < 1 || copies > MOST_COPIES)
    return fail('shop-copies', `expected 1–${MOST_COPIES} copies, got ${copies}`, { values: { most: MOST_COPIES } });
  if (job.pages.length * copies > MOST_PAGES)
    return fail('shop-too-many-pages', `expected at most ${MOST_PAGES} pages, got ${job.pages.length * copies}`, {
      values: { most: MOST_PAGES, pages: job.pages.length * copies },
    });
  // A heated fuser melts label backing; this shop refuses it.
  if (paper === 'liner') return fail('shop-liner', 'expected paper, got release liner');
  const foreign = job.pages.find((page) => !isPaper(page));
  if (foreign)
    return fail('shop-page-size', `expected a paper of the shop's, got ${foreign.widthMm} × ${foreign.heightMm} mm`, {
      values: { widthMm: Math.round(foreign.widthMm), heightMm: Math.round(foreign.heightMm) },
    });
  const each = job.pages.map(
    (page) =>
      (colour ? PRICE.colour : PRICE.grey) * (Math.max(page.widthMm, page.heightMm) > LARGE_MM ? PRICE.large : 1) +
      (paper === 'bond-120' ? PRICE.heavy : 0),
  );
  const price = Math.round((PRICE.setUp + copies * each.reduce((sum, value) => sum + value, 0)) * 100) / 100;
  const minutes = SET_UP_MINUTES + (job.pages.length * copies * SECONDS_A_PAGE) / 60;
  return ok({
    number: orderNumber(job, copies, now),
    price,
    pages: job.pages.length,
    copies,
    readyAt: whenOpen(now, minutes),
    notes: [...(fit ? ['fits' as const] : []), 'margin'],
  });
}

const orderNumber = ({ pages, bytes }: ShopJob, copies: number, now: number): string =>
  `Q${((Math.floor(now / MS_PER_MINUTE) * 31 + bytes * 7 + pages.length * 131 + copies) % 90_000) + 10_000}`;

/** When a job that takes some minutes is done, working in opening hours only. Local time. */
function whenOpen(now: number, minutes: number): number {
  const at = new Date(now);
  for (let guard = 0; guard < 14; guard++) {
    const [opens, closes] = [new Date(at).setHours(OPENS_AT, 0, 0, 0), new Date(at).setHours(CLOSES_AT, 0, 0, 0)];
    const start = Math.max(at.getTime(), opens);
    if (at.getDay() !== 0 && start + minutes * MS_PER_MINUTE <= closes) return start + minutes * MS_PER_MINUTE;
    at.setDate(at.getDate() + 1);
    at.setHours(0, 0, 0, 0);
  }
  return at.getTime();
}
