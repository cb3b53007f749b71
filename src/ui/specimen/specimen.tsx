'use client';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import type { SizeMm } from '@/core/shape';
import { useUnits } from '../units-context';
import { Ruler } from './ruler';
import css from './specimen.module.css';
import { say } from '@/words/say';

const LEFT = 46;
const TOP = 40;
const PAD = 26;

export interface SpecimenScale {
  pxPerMm: number;
}

interface SpecimenProps {
  /** The object on show: rulers and scale go by it. */
  size: SizeMm;
  label: string;
  /** Drawn in mm, origin at the object's top left corner. */
  children: (scale: SpecimenScale) => ReactNode;
  /** Said at the foot: what is shown, which way round. */
  caption: ReactNode;
  /** Changes when the other side is shown, which turns the sheet over. */
  side?: 'landing' | 'printed';
  actions?: ReactNode;
  /** It has grips in it: more than a picture. */
  grips?: boolean;
  /** What is where, for those who hear it. */
  described?: readonly string[];
}

/** The specimen: one true-to-scale drawing with rulers of the object as it stands. */
export function Specimen({
  size,
  label,
  children,
  caption,
  side = 'landing',
  actions,
  grips = false,
  described = [],
}: SpecimenProps) {
  const { system } = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const [box, setBox] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) =>
      setBox({ width: entry!.contentRect.width, height: entry!.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const pxPerMm = Math.max(
    0.01,
    Math.min((box.width - LEFT - PAD) / size.widthMm, (box.height - TOP - PAD) / size.heightMm),
  );
  const x = Math.round(LEFT + (box.width - LEFT - PAD - size.widthMm * pxPerMm) / 2);
  const y = Math.round(TOP + (box.height - TOP - PAD - size.heightMm * pxPerMm) / 2);
  return (
    <figure className={css.figure}>
      <div className={css.frame} ref={frame}>
        {box.width > 0 && (
          <svg
            width={box.width}
            height={box.height}
            role={grips ? 'group' : 'img'}
            aria-label={label}
            data-testid="specimen"
            data-px-per-mm={pxPerMm}
            data-side={side}
          >
            <Ruler along="x" lengthMm={size.widthMm} pxPerMm={pxPerMm} startPx={x} atPx={y - 8} system={system} />
            <Ruler along="y" lengthMm={size.heightMm} pxPerMm={pxPerMm} startPx={y} atPx={x - 8} system={system} />
            <g key={side} className={css.turn} style={{ transformOrigin: `${x + (size.widthMm * pxPerMm) / 2}px 0` }}>
              <g transform={`translate(${x} ${y}) scale(${pxPerMm})`}>{children({ pxPerMm })}</g>
            </g>
          </svg>
        )}
      </div>
      {described.length > 0 && (
        <ul className="unseen" aria-label={say`The drawing in words`} data-testid="in-words">
          {described.map((words, at) => (
            <li key={at}>{words}</li>
          ))}
        </ul>
      )}
      <figcaption className={css.caption}>
        <span>{caption}</span>
        <span className={css.actions}>{actions}</span>
      </figcaption>
    </figure>
  );
}
