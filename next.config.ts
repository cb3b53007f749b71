import type { NextConfig } from 'next';
import { contentPolicy } from './src/policy';

const isDevelopment = process.env.NODE_ENV === 'development';

/** Of every answer. Pages overrule the policy with one that names their scripts: src/proxy.ts. */
const HEADERS = {
  'Content-Security-Policy': contentPolicy({ isDevelopment }),
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy': 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
};

const config: NextConfig = {
  headers: () =>
    Promise.resolve([
      { source: '/:path*', headers: Object.entries(HEADERS).map(([key, value]) => ({ key, value })) },
      {
        source: '/_next/static/:path*',
        headers: [{ key: 'Content-Security-Policy', value: contentPolicy({ isWorker: true, isDevelopment }) }],
      },
    ]),
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
