import type { NextConfig } from 'next';

/** Nothing is asked of another host, no other page frames this one, and none of what a page can ask of a machine is. */
const HEADERS = {
  'Content-Security-Policy': [
    "base-uri 'none'",
    "connect-src 'self' blob: data:",
    "font-src 'self' data:",
    "form-action 'self'",
    "frame-ancestors 'none'",
    "frame-src 'none'",
    "img-src 'self' blob: data:",
    "manifest-src 'self'",
    "media-src 'self' blob: data:",
    "object-src 'none'",
    "worker-src 'self' blob:",
  ].join('; '),
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy': 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
};

const config: NextConfig = {
  headers: () =>
    Promise.resolve([{ source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) }]),
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['pdfjs-dist', '@napi-rs/canvas'],
  // The build for browsers of today; the package's own entry chooses an older one.
  turbopack: { resolveAlias: { dexie: 'dexie/dist/modern/dexie.mjs' } },
  // Larger chunks compress better.
  experimental: { turbopackCjsTreeShaking: true, turbopackChunking: { minChunkSize: 300_000 } },
  // `npm run types` checks them, and knows which files index how.
  typescript: { ignoreBuildErrors: true },
};

export default config;
