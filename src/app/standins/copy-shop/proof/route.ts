import { proofApart } from '@/standins/copy-shop/thread';
import { readRequest, refused } from '@/standins/copy-shop/request';

export const runtime = 'nodejs';

export async function POST(request: Request): Promise<Response> {
  const sent = await readRequest(request);
  if (!sent.ok) return refused(sent.error);
  const proof = await proofApart(sent.value.pdf, sent.value.page, sent.value);
  return proof.ok
    ? new Response(new Blob([new Uint8Array(proof.value)]), { headers: { 'content-type': 'image/png' } })
    : refused(proof.error);
}
