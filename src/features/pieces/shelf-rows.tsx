'use client';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { WindowVirtualizer } from 'virtua';
import type { PlannedPiece } from '@/features/plans';
import { figureSize } from './piece-figure';
import css from './pieces.module.css';

/** What stands beside a figure, and the least a piece takes, px: as the styles have it. */
const BESIDE_PX = 46;
const LEAST_PX = 190;

/** A long shelf in rows, of which only those in sight are drawn. */
export function ShelfRows<P extends PlannedPiece>({
  pieces,
  pxPerMm,
  children,
}: {
  pieces: readonly P[];
  pxPerMm: number;
  children: (planned: P) => ReactNode;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const { current } = frame;
    if (!current) return;
    const measure = () => setWidth(current.clientWidth);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(current);
    return () => watch.disconnect();
  }, []);
  const rows = width > 0 ? packed(pieces, pxPerMm, width) : [];
  return (
    <div ref={frame}>
      <WindowVirtualizer data={rows}>
        {(row) => (
          <ul key={row[0]?.piece.id} className={css.shelf} data-row>
            {row.map((planned) => children(planned))}
          </ul>
        )}
      </WindowVirtualizer>
    </div>
  );
}

function packed<P extends PlannedPiece>(pieces: readonly P[], pxPerMm: number, width: number): P[][] {
  const rows: P[][] = [];
  let left = 0;
  for (const planned of pieces) {
    const takes = Math.max(LEAST_PX, figureSize(planned).widthMm * pxPerMm + BESIDE_PX);
    if (rows.length === 0 || takes > left) {
      rows.push([]);
      left = width;
    }
    rows.at(-1)?.push(planned);
    left -= takes;
  }
  return rows;
}
