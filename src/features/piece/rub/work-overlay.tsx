import { Fragment } from 'react';
import type { WorkMap, WorkSection } from '@/core/rub';
import { rectOf } from '../drawings/rect-of';

const BLUE = '#2C5C94';
const INK = '#1E2126';
/** A small part of the smaller side, mm, for edges and numbers. */
const EDGE_MM = 4;

/** The map of the work on the piece: dark fields hatched, light ones dotted, edges in brick, sections by number. */
export function WorkOverlay({ map, id }: { map: WorkMap; id: string }) {
  const { columns, rows, box, kinds, sections, startAt } = map;
  const [wide, high] = [box.widthMm / columns, box.heightMm / rows];
  const least = Math.min(box.widthMm, box.heightMm);
  const unit = least / 60;
  const radius = Math.min(...sections.map((section) => Math.min(section.box.widthMm, section.box.heightMm))) * 0.11;
  const corner = {
    x: box.xMm + (startAt.endsWith('right') ? box.widthMm : 0),
    y: box.yMm + (startAt.startsWith('bottom') ? box.heightMm : 0),
  };
  return (
    <g>
      <defs>
        <pattern
          id={`${id}-haze`}
          width={unit * 2}
          height={unit * 2}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={unit * 0.55} height={unit * 2} fill="#fff" fillOpacity={0.75} />
        </pattern>
        <pattern
          id={`${id}-feel`}
          x={box.xMm}
          y={box.yMm}
          width={wide / 2}
          height={high / 2}
          patternUnits="userSpaceOnUse"
        >
          <circle cx={wide / 4} cy={high / 4} r={Math.min(wide, high) * 0.09} fill={BLUE} />
        </pattern>
      </defs>
      {kinds.map((kind, at) =>
        kind === null ? null : (
          <rect
            key={at}
            x={box.xMm + (at % columns) * wide}
            y={box.yMm + Math.floor(at / columns) * high}
            width={wide}
            height={high}
            fill={`url(#${id}-${kind === 'haze-stays' ? 'haze' : 'feel'})`}
          />
        ),
      )}
      <rect
        x={box.xMm + EDGE_MM / 2}
        y={box.yMm + EDGE_MM / 2}
        width={Math.max(0, box.widthMm - EDGE_MM)}
        height={Math.max(0, box.heightMm - EDGE_MM)}
        fill="none"
        stroke="#B0352B"
        strokeWidth={EDGE_MM}
        strokeOpacity={0.45}
      />
      {sections.length > 1 &&
        sections.map((section) => <Section key={section.number} section={section} radius={radius} />)}
      <circle
        cx={corner.x}
        cy={corner.y}
        r={radius * 0.55}
        fill="#fff"
        stroke={BLUE}
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}

function Section({ section: { box, number }, radius }: { section: WorkSection; radius: number }) {
  const [cx, cy] = [box.xMm + box.widthMm / 2, box.yMm + box.heightMm / 2];
  return (
    <Fragment>
      <rect
        {...rectOf(box)}
        fill="none"
        stroke={BLUE}
        strokeWidth={1.5}
        strokeDasharray="5 5"
        vectorEffect="non-scaling-stroke"
      />
      <circle
        cx={cx}
        cy={cy}
        r={radius}
        fill="#fff"
        fillOpacity={0.9}
        stroke={BLUE}
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      <text x={cx} y={cy + radius * 0.42} fontSize={radius * 1.2} textAnchor="middle" fontWeight={700} fill={INK}>
        {number}
      </text>
    </Fragment>
  );
}
