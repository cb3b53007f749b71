import { wearSpecks } from '@/core/mend';
import { rectOf } from '../drawings/rect-of';
import { useOpenPiece } from '../piece-context';
import css from './mend.module.css';
import type { ReadHoles } from './use-holes';
import type { Rim } from './use-rim';

const MOST_NUMBERED = 12;
/** How much a stain darkens what is bare, and what a glaze that is wiped back leaves over the picture. */
const STAIN = { bare: 0.75, picture: 0.12 };

/** What mending does, drawn over the piece: stain on bare wood, wear on purpose, a rim, and the holes by number. */
export function MendOverlay({ read, rim }: { read: ReadHoles | null; rim: Rim | null }) {
  const { piece, plan } = useOpenPiece();
  const { blank, print: landed, groundColour } = plan.surface;
  if (!blank || !landed) return null;
  const { wear, glaze } = piece.mend;
  const print = landed.rect;
  const printPath = `M${print.xMm} ${print.yMm}h${print.widthMm}v${print.heightMm}h${-print.widthMm}z`;
  return (
    <g>
      {wear &&
        wearSpecks(print, wear, piece.surface.grain.seed).map(({ xMm, yMm, radiusMm }, at) => (
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
      {read && <Holes read={read} least={Math.min(print.widthMm, print.heightMm)} />}
    </g>
  );
}

/** Holes by their numbers, in a size that goes with the print's smaller side. */
const Holes = ({ read: { holes, box: whole }, least }: { read: ReadHoles; least: number }) => (
  <>
    {holes.slice(0, MOST_NUMBERED).map(({ number, box }) => (
      <g key={number}>
        <rect
          x={whole.xMm + box.xMm}
          y={whole.yMm + box.yMm}
          width={box.widthMm}
          height={box.heightMm}
          fill="none"
          stroke="#fff"
          strokeWidth={2.5}
          vectorEffect="non-scaling-stroke"
        />
        <text
          x={whole.xMm + box.xMm + box.widthMm / 2}
          y={whole.yMm + box.yMm - least * 0.012}
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
  </>
);
