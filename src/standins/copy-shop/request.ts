import Joi from 'joi';
import { fail, ok, type Failure, type Result } from '@/core/shared';
import type { ShopCode } from '@/records';
import { LATEST_INSTANT_MS } from '@/records/fields';
import { MOST_BYTES, type ShopOptions } from './machine';
import { takenIn } from './thread';

export interface ShopRequest extends ShopOptions {
  pdf: Uint8Array;
  page: number;
  now: number;
}

const REQUEST = Joi.object({
  copies: Joi.number().integer().min(-1e6).max(1e6).required(),
  colour: Joi.boolean().required(),
  paper: Joi.string().valid('bond-80', 'bond-120', 'liner').required(),
  fit: Joi.boolean().required(),
  page: Joi.number().integer().min(0).max(10_000).default(0),
  now: Joi.number().min(0).max(LATEST_INSTANT_MS).default(0),
});

/** Room for the options beside the file. */
const FORM_BYTES = 65_536;

/** A body as it streams in, given up as soon as it is longer than it may be, whatever its header says; null then. */
async function cappedBody(body: ReadableStream<Uint8Array> | null, most: number): Promise<Blob | null> {
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  const reader = (body ?? new Blob([]).stream()).getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    bytes += part.value.length;
    if (bytes > most) {
      await reader.cancel();
      return null;
    }
    parts.push(new Uint8Array(part.value));
  }
  return new Blob(parts);
}

/** What was sent to the shop, checked: limits first. */
export async function readRequest(request: Request): Promise<Result<ShopRequest, ShopCode>> {
  const tooLarge = fail('shop-too-large', `expected at most ${MOST_BYTES} bytes`);
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES + FORM_BYTES) return tooLarge;
  const body = await cappedBody(request.body, MOST_BYTES + FORM_BYTES);
  if (!body) return tooLarge;
  const type = request.headers.get('content-type') ?? '';
  const form = await new Response(body, { headers: { 'content-type': type } }).formData().catch(() => null);
  const file = form?.get('pdf');
  if (!form || !(file instanceof Blob)) return fail('shop-not-pdf', 'expected a file');
  if (file.size > MOST_BYTES) return tooLarge;
  const checked = REQUEST.validate(Object.fromEntries([...form].filter(([key]) => key !== 'pdf')));
  return checked.error
    ? fail('shop-request', checked.error.message)
    : ok({ ...(checked.value as Omit<ShopRequest, 'pdf'>), pdf: new Uint8Array(await file.arrayBuffer()) });
}

const COME_BACK_SECONDS = 20;
const STATUS: Partial<Record<ShopCode, number>> = { 'shop-busy': 503, 'shop-not-own': 403, 'shop-left': 499 };

const refused = (error: Failure<ShopCode>): Response =>
  Response.json(
    { error },
    {
      status: STATUS[error.code] ?? 422,
      headers: error.code === 'shop-busy' ? { 'retry-after': String(COME_BACK_SECONDS) } : {},
    },
  );

const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/i;

/**
 * Whether a request comes from a page of this very server: no page of another site, and none under a name that somebody
 * pointed at this machine, has it do work. @param open whether the home was let in: then any host name of its may be
 */
export function isOwn({ headers }: Pick<Request, 'headers'>, open = Boolean(process.env.HOST)): boolean {
  const [host, origin, site] = ['host', 'origin', 'sec-fetch-site'].map((name) => headers.get(name));
  if (!open && host && !LOOPBACK.test(host)) return false;
  if (site && site !== 'same-origin' && site !== 'none') return false;
  if (!origin) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** What is done with an order: from an own page only, and where there is room for it. */
export async function served(
  request: Request,
  serve: (order: ShopRequest) => Promise<Result<Response, ShopCode>>,
): Promise<Response> {
  if (!isOwn(request)) return refused({ code: 'shop-not-own', message: 'expected a page of this server' });
  const answer = await takenIn(async (): Promise<Result<Response, ShopCode>> => {
    const sent = await readRequest(request);
    return sent.ok ? serve(sent.value) : sent;
  });
  return answer.ok ? answer.value : refused(answer.error);
}
