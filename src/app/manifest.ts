import type { MetadataRoute } from 'next';
import { say } from '@/words/say';

const icon = (px: number, purpose: 'any' | 'maskable') => ({
  src: `/icons/icon${purpose === 'any' ? '' : '-maskable'}-${px}.png`,
  sizes: `${px}x${px}`,
  type: 'image/png',
  purpose,
});

/** Installed it opens in a window of its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Fobbet',
    short_name: 'Fobbet',
    description: say`Plans a photo transfer from the picture to the sealed piece.`,
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#F2F4F5',
    theme_color: '#5B2D5E',
    icons: [192, 512].flatMap((px) => [icon(px, 'any'), icon(px, 'maskable')]),
    shortcuts: [
      { name: say`Bench`, url: '/bench' },
      { name: say`Pieces`, url: '/pieces' },
    ],
  };
}
