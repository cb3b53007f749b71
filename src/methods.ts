import { Server, type IncomingMessage, type ServerResponse } from 'node:http';

/** Everything is read; only the stand-ins are sent something. */
const methodsFor = (path: string): readonly string[] =>
  path.startsWith('/standins/') ? ['GET', 'HEAD', 'POST'] : ['GET', 'HEAD'];

/**
 * Answers what is asked by another method before the framework sees it, which would serve a page to a PUT, and fails
 * inside at TRACE.
 *
 * @returns whether it was answered
 */
function refusesMethod(
  { method = '', url = '' }: Pick<IncomingMessage, 'method' | 'url'>,
  response: Pick<ServerResponse, 'writeHead' | 'end'>,
): boolean {
  const allowed = methodsFor(url);
  if (allowed.includes(method)) return false;
  response.writeHead(405, { allow: allowed.join(', '), 'content-type': 'text/plain; charset=utf-8' });
  response.end('Method not allowed\n');
  return true;
}

/** Has every server of this process refuse them. */
export function refuseOtherMethods(): void {
  const emit = Reflect.get(Server.prototype, 'emit') as (
    this: Server,
    event: string | symbol,
    ...given: unknown[]
  ) => boolean;
  Server.prototype.emit = function (this: Server, event: string | symbol, ...given: unknown[]): boolean {
    if (event === 'request' && refusesMethod(given[0] as IncomingMessage, given[1] as ServerResponse)) return true;
    return emit.call(this, event, ...given);
  };
}
