import { ok } from '@/core/shared';
import { proofApart } from '@/standins/copy-shop/thread';
import { served } from '@/standins/copy-shop/request';

export const runtime = 'nodejs';

export const POST = (request: Request): Promise<Response> =>
  served(request, async ({ pdf, page, ...options }) => {
    const proof = await proofApart(pdf, page, options, request.signal);
    return proof.ok
      ? ok(new Response(new Blob([new Uint8Array(proof.value)]), { headers: { 'content-type': 'image/png' } }))
      : proof;
  });
