import type { Wetness } from '@/core/cure';
import css from './worksheet.module.css';
import { say } from '@/words/say';

export const WETNESS_WORDS: Readonly<Record<Wetness, string>> = {
  wet: say`wet`,
  tacky: say`tacky`,
  dry: say`dry, not cured`,
  cured: say`cured`,
  sealed: say`sealed`,
};
const COLOURS: Readonly<Record<Wetness, string>> = {
  wet: 'var(--wet)',
  tacky: 'var(--marigold)',
  dry: 'var(--verdigris)',
  cured: 'var(--verdigris)',
  sealed: 'var(--verdigris)',
};
const DROP = 'M10 2 C13 7 16 9.6 16 13 a6 6 0 0 1 -12 0 C4 9.6 7 7 10 2 Z';

/** How wet a piece is, readable without colour: filled drop, half drop, ring, square, double ring. */
export function WetnessMark({ wetness, size = 20 }: { wetness: Wetness; size?: number }) {
  const stroke = { stroke: COLOURS[wetness], strokeWidth: 1.8, fill: 'none' };
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 20 20"
      role="img"
      aria-label={WETNESS_WORDS[wetness]}
      className={css.mark}
    >
      {wetness === 'wet' && <path d={DROP} {...stroke} fill={COLOURS.wet} />}
      {wetness === 'tacky' && (
        <>
          <path d={DROP} {...stroke} />
          <path d="M4 13 a6 6 0 0 0 12 0 Z" fill={COLOURS.tacky} />
        </>
      )}
      {wetness === 'dry' && <circle cx={10} cy={10} r={6.5} {...stroke} />}
      {wetness === 'cured' && <rect x={4} y={4} width={12} height={12} fill={COLOURS.cured} />}
      {wetness === 'sealed' && (
        <>
          <circle cx={10} cy={10} r={7.5} {...stroke} />
          <circle cx={10} cy={10} r={3.5} {...stroke} />
        </>
      )}
    </svg>
  );
}
