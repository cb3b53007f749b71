import Joi from 'joi';
import { fail, ok, type Result } from '@/core/shared';
import { MOST_BYTES, type ShopCode, type ShopOptions } from './machine';

export interface ShopRequest extends ShopOptions { pdf: Uint8Array; page: number; now: number }

const REQUEST = Joi.object({
  copies: Joi.number().integer().required(), colour: Joi.boolean().required(), paper: Joi.string().valid('bond-80', 'bond-120', 'liner').required(), fit: Joi.boolean().required(),
  page: Joi.number().integer().min(0).default(0), now: Joi.number().min(0).max(8.64e15).default(0),
});

/** What was sent to the shop, checked: limits first. */
export async function readRequest(request: Request): Promise<Result<ShopRequest, ShopCode | 'shop-request'>> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES + 65_536) return fail('shop-too-large', `expected at most ${MOST_BYTES} bytes`);
  const form = await request.formData().catch(() => null);
  const file = form?.get('pdf');
  if (!form || !(file instanceof Blob)) return fail('shop-not-pdf', 'expected a file');
  const checked = REQUEST.validate(Object.fromEntries([...form].filter(([key]) => key !== 'pdf')));
  return checked.error ? fail('shop-request', checked.error.message) : ok({ ...(checked.value as Omit<ShopRequest, 'pdf'>), pdf: new Uint8Array(await file.arrayBuffer()) });
}

export const refused = (error: unknown): Response => Response.json({ error }, { status: 422 });
