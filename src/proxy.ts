import { NextResponse, type NextRequest } from 'next/server';
import { OURS } from './offline/pages';
import { contentPolicy } from './policy';

/** Gives each page a nonce of its own, which the framework writes into its scripts. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentPolicy({ nonce, isDevelopment: process.env.NODE_ENV === 'development' });
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set(OURS, 'page');
  return response;
}

/** Pages: no files (their last part has a dot), nothing of the framework, none of the stand-ins. */
export const config = { matcher: ['/((?!_next/|standins/|clock$|.*\\.[a-z0-9]+$).*)'] };
