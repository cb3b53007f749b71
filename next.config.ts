import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['pdfjs-dist', '@napi-rs/canvas'],
  typescript: { ignoreBuildErrors: false },
};

export default config;
