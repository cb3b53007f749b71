'use client';
import type { LayingGuide } from '@/core/coat';
import { ringPath } from '@/core/shape';
import { useUnits, type SpecimenScale } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { useLay } from './use-lay';

const WET = '#2C5C94';
const INK = '#1E2126';
const LABEL_PX = 12.5;
const HEAD_PX = 8;
const DISC_PX = 9;

/**
 * The coat's outline, where to pour, scraping strokes in their order, centre lines, and how far the print lies from
 * each edge.
 */
export function GuideOverlay({ pxPerMm, guide }: SpecimenScale & { guide: LayingGuide | null }) {
  const { print, blank, record } = useOpenPiece().plan.surface;
  const { planned } = useLay();
  const units = useUnits();
  if (!planned || !print || !blank || !record) return null;
  const { landed } = print.formed;
  const px = 1 / pxPerMm;
  return (
    <g fill="none">
      {guide?.support && (
        <rect
          x={guide.support.xMm}
          y={guide.support.yMm}
          width={guide.support.widthMm}
          height={guide.support.heightMm}
          stroke={INK}
          strokeWidth={1}
          strokeDasharray="2 4"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <path
        d={planned.coat.outline.map(ringPath).join(' ')}
        stroke={WET}
        strokeWidth={1.8}
        strokeDasharray="7 5"
        vectorEffect="non-scaling-stroke"
      />
      <path d={landed.map(ringPath).join(' ')} stroke={INK} strokeWidth={1.4} vectorEffect="non-scaling-stroke" />
      {guide?.blocks.map((block, index) => (
        <g key={index}>
          {block.creases.map((line, at) => (
            <line
              key={at}
              {...line}
              stroke={INK}
              strokeWidth={1}
              strokeDasharray="10 3 2 3"
              strokeOpacity={0.7}
              vectorEffect="non-scaling-stroke"
            />
          ))}
          {block.scrapes.map((stroke) => (
            <Stroke key={stroke.order} stroke={stroke} px={px} />
          ))}
          <circle
            cx={block.pour.xMm}
            cy={block.pour.yMm}
            r={Math.max(block.pour.radiusMm, 5 * px)}
            fill={WET}
            fillOpacity={0.35}
          />
          {block.holds.map((point, at) => (
            <circle
              key={at}
              cx={point.xMm}
              cy={point.yMm}
              r={6 * px}
              stroke="#0B665E"
              strokeWidth={2.5}
              vectorEffect="non-scaling-stroke"
              fill="#fff"
              fillOpacity={0.6}
            />
          ))}
        </g>
      ))}
      {guide?.offsets.map(({ edge, mm, line }) => {
        const across = edge === 'left' || edge === 'right';
        return (
          <g key={edge}>
            <line {...line} stroke={INK} strokeWidth={1.2} vectorEffect="non-scaling-stroke" />
            <text
              x={(line.x1 + line.x2) / 2 + (across ? 0 : 5 * px)}
              y={(line.y1 + line.y2) / 2 - (across ? 5 * px : -4 * px)}
              textAnchor={across ? 'middle' : 'start'}
              fontSize={LABEL_PX * px}
              fill={INK}
              stroke="#fff"
              strokeWidth={3 * px}
              paintOrder="stroke"
              fontWeight={600}
            >
              {units.length(mm)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

function Stroke({
  stroke: { x1, y1, x2, y2, order },
  px,
}: {
  stroke: { x1: number; y1: number; x2: number; y2: number; order: number };
  px: number;
}) {
  const heading = Math.atan2(y2 - y1, x2 - x1);
  const barb = (turn: number) =>
    `L${x2 - HEAD_PX * px * Math.cos(heading + turn)} ${y2 - HEAD_PX * px * Math.sin(heading + turn)}`;
  const [nx, ny] = [x1 + (x2 - x1) * 0.62, y1 + (y2 - y1) * 0.62];
  return (
    <g>
      <path
        d={`M${x1} ${y1} L${x2} ${y2} ${barb(0.5)} M${x2} ${y2} ${barb(-0.5)}`}
        stroke={WET}
        strokeWidth={2}
        strokeLinecap="round"
        vectorEffect="non-scaling-stroke"
      />
      <circle cx={nx} cy={ny} r={DISC_PX * px} fill={WET} />
      <text x={nx} y={ny + 4.4 * px} textAnchor="middle" fontSize={LABEL_PX * px} fontWeight={700} fill="#fff">
        {order}
      </text>
    </g>
  );
}
