/**
 * What a page of Fobbet may do: it asks nothing of another host, runs no script that the server did not name, and is
 * framed by nobody.
 *
 * @param nonce names the scripts of one page; without one only files of this server run
 * @param isWorker of a script that runs as a worker: one of them, the decoder of HEIC, begins another out of itself
 * @param isDevelopment the development server builds its scripts as it goes
 */
export function contentPolicy({
  nonce,
  isWorker = false,
  isDevelopment,
}: {
  nonce?: string;
  isWorker?: boolean;
  isDevelopment: boolean;
}): string {
  const scripts = nonce ? `'nonce-${nonce}' 'strict-dynamic'` : "'self'";
  return [
    "default-src 'none'",
    // The kernels are WebAssembly.
    `script-src ${scripts} 'wasm-unsafe-eval'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    // Styles are made while components are drawn; their attributes can't carry a nonce.
    "style-src 'self' 'unsafe-inline'",
    `connect-src 'self' blob: data:${isDevelopment ? ' ws:' : ''}`,
    "font-src 'self' data:",
    "img-src 'self' blob: data:",
    "media-src 'self' blob: data:",
    // A PDF made here, for the browser's own print dialog.
    'frame-src blob:',
    "manifest-src 'self'",
    `worker-src 'self'${isWorker ? ' blob:' : ''}`,
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ].join('; ');
}
