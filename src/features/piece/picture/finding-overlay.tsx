'use client';
import { useEffect, useRef } from 'react';
import type { Analysis, Crop } from '@/core/picture';
import type { Finding } from '@/core/findings';

const MARK = [200, 20, 60, 190] as const;

/** Where in the picture a finding lies: every other block marked, so that the picture stays to be seen between. */
export function FindingOverlay({ finding, analysis, crop }: { finding: Finding; analysis: Analysis; crop: Crop }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const shown = canvas.current;
    const context = shown?.getContext('2d');
    if (!shown || !context) return;
    const { columns, rows } = analysis.blocks;
    [shown.width, shown.height] = [columns, rows];
    const marked = finding.blocks(analysis);
    const image = context.createImageData(columns, rows);
    for (let block = 0; block < columns * rows; block++) {
      const stripe = ((block % columns) + Math.floor(block / columns)) % 4 < 2;
      if (stripe && marked(block)) image.data.set(MARK, block * 4);
    }
    context.putImageData(image, 0, 0);
  }, [finding, analysis]);
  const percent = (share: number) => `${share * 100}%`;
  return (
    <canvas
      ref={canvas}
      data-testid="finding-overlay"
      aria-hidden
      style={{
        position: 'absolute',
        left: percent(crop.x),
        top: percent(crop.y),
        width: percent(crop.width),
        height: percent(crop.height),
        imageRendering: 'pixelated',
        pointerEvents: 'none',
      }}
    />
  );
}
