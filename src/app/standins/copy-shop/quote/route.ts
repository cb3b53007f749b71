import { ok } from '@/core/shared';
import { quote } from '@/standins/copy-shop';
import { measureApart } from '@/standins/copy-shop/thread';
import { served } from '@/standins/copy-shop/request';

export const runtime = 'nodejs';

export const POST = (request: Request): Promise<Response> =>
  served(request, async ({ pdf, now, ...options }) => {
    const job = await measureApart(pdf, request.signal);
    if (!job.ok) return job;
    const answer = quote(job.value, options, now);
    return answer.ok ? ok(Response.json(answer.value)) : answer;
  });
