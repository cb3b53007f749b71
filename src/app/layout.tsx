import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Shell } from '@/features/shell/shell';
import { Themed } from '@/ui';
import '@/ui/base.css';

export const metadata: Metadata = {
  title: 'Fobbet',
  description: 'Plans a photo transfer from the picture to the sealed piece.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute='[data-scheme="%s"]' defaultMode="system" nonce={nonce} />
        <AppRouterCacheProvider>
          <Themed>
            <Shell demo={process.env.FOBBET_DEMO === '1'}>{children}</Shell>
          </Themed>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
