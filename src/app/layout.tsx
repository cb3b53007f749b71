import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Shell } from '@/features/frame/shell';
import { Themed } from '@/ui';
import { LANGUAGE } from '@/words/language';
import '@/ui/base.css';
import { say } from '@/words/say';

export const metadata: Metadata = {
  title: 'Fobbet',
  description: say`Plans a photo transfer from the picture to the sealed piece.`,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang={LANGUAGE.tag} dir={LANGUAGE.direction} suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute='[data-scheme="%s"]' defaultMode="system" nonce={nonce} />
        <Themed>
          <Shell demo={process.env.FOBBET_DEMO === '1'}>{children}</Shell>
        </Themed>
      </body>
    </html>
  );
}
