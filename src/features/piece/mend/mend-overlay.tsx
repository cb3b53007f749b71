import { wearSpecks, type Wear } from '@/core/mend';
import type { Blank, RectMm } from '@/core/shape';
import { rectOf } from '../drawings/rect-of';
import css from './mend.module.css';
import type { ReadHoles } from './use-holes';

const MOST_NUMBERED = 12;
/** How much a stain darkens what is bare, and what a glaze that is wiped back leaves over the picture. */
const STAIN = { bare: 0.75, picture: 0.12 };

/** What mending does, drawn over the piece: stain on bare wood, wear on purpose, a rim, and the holes by number. */
export function MendOverlay({
  read,
  wear,
  glaze,
  rim,
  print,
  blank,
  groundColour,
  seed,
}: {
  read: ReadHoles | null;
  wear: Wear | null;
  glaze: string | null;
  rim: { colour: string; widthMm: number } | null;
  print: RectMm;
  blank: Blank;
  groundColour: string;
  seed: number;
}) {
  const least = Math.min(print.widthMm, print.heightMm);
  const printPath = `M${print.xMm} ${print.yMm}h${print.widthMm}v${print.heightMm}h${-print.widthMm}z`;
  return (
    <g>
      {wear &&
        wearSpecks(print, wear, seed).map(({ xMm, yMm, radiusMm }, at) => (
          <circle key={at} cx={xMm} cy={yMm} r={radiusMm} fill={groundColour} />
        ))}
      {rim && (
        <rect
          {...rectOf(print)}
          fill="none"
          stroke={rim.colour}
          strokeOpacity={0.7}
          strokeWidth={rim.widthMm}
          className={css.rim}
        />
      )}
      {glaze && (
        <g className={css.glaze}>
          <path d={`${blank.path} ${printPath}`} fillRule="evenodd" fill={glaze} fillOpacity={STAIN.bare} />
          <path d={printPath} fill={glaze} fillOpacity={STAIN.picture} />
        </g>
      )}
      {read?.holes.slice(0, MOST_NUMBERED).map(({ number, box }) => (
        <g key={number}>
          <rect
            x={read.box.xMm + box.xMm}
            y={read.box.yMm + box.yMm}
            width={box.widthMm}
            height={box.heightMm}
            fill="none"
            stroke="#fff"
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={read.box.xMm + box.xMm + box.widthMm / 2}
            y={read.box.yMm + box.yMm - least * 0.012}
            fontSize={least * 0.05}
            fontWeight={700}
            textAnchor="middle"
            fill="#fff"
            stroke="#1E2126"
            strokeWidth={least * 0.008}
            paintOrder="stroke"
          >
            {number}
          </text>
        </g>
      ))}
    </g>
  );
}
