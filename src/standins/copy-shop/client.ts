import { fail, ok, type Failure, type Result } from '@/core/shared';
import type { ShopCode } from '@/records';
import type { ShopOptions, ShopQuote } from './machine';

function form(pdf: Blob, options: Record<string, string>): FormData {
  const data = new FormData();
  data.set('pdf', pdf, 'print.pdf');
  for (const [key, value] of Object.entries(options)) data.set(key, value);
  return data;
}

async function ask(path: string, body: FormData): Promise<Result<Response, ShopCode>> {
  try {
    const response = await fetch(`/standins/copy-shop/${path}`, { method: 'POST', body });
    return response.ok
      ? ok(response)
      : { ok: false, error: ((await response.json()) as { error: Failure<ShopCode> }).error };
  } catch (error) {
    return fail('shop-away', error instanceof Error ? error.message : String(error));
  }
}

const optionsOf = ({ copies, colour, paper, fit }: ShopOptions): Record<string, string> => ({
  copies: String(copies),
  colour: String(colour),
  paper,
  fit: String(fit),
});

/** Sends a print to the simulated shop for its price and time. @param now epoch ms on the crafter's clock */
export async function askQuote(pdf: Blob, options: ShopOptions, now: number): Promise<Result<ShopQuote, ShopCode>> {
  const answer = await ask('quote', form(pdf, { ...optionsOf(options), now: String(now) }));
  return answer.ok ? ok((await answer.value.json()) as ShopQuote) : answer;
}

/** A page as the shop's machine prints it, PNG. */
export async function askProof(pdf: Blob, options: ShopOptions, page: number): Promise<Result<Blob, ShopCode>> {
  const answer = await ask('proof', form(pdf, { ...optionsOf(options), page: String(page) }));
  return answer.ok ? ok(await answer.value.blob()) : answer;
}
