import { quote } from '@/standins/copy-shop';
import { measureApart } from '@/standins/copy-shop/thread';
import { readRequest, refused } from '@/standins/copy-shop/request';

export const runtime = 'nodejs';

export async function POST(request: Request): Promise<Response> {
  const sent = await readRequest(request);
  if (!sent.ok) return refused(sent.error);
  const job = await measureApart(sent.value.pdf);
  if (!job.ok) return refused(job.error);
  const answer = quote(job.value, sent.value, sent.value.now);
  return answer.ok ? Response.json(answer.value) : refused(answer.error);
}
