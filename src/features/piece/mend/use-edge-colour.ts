'use client';
import { useEffect, useState } from 'react';
import type { Crop } from '@/core/picture';

const SIDE = 40;

/** The mean colour along the edge of the picture as it is cropped, from its preview; null until it is known. */
export function useEdgeColour(previewUrl: string | null, { x, y, width, height }: Crop): string | null {
  const [colour, setColour] = useState<string | null>(null);
  useEffect(() => {
    if (!previewUrl) return;
    let current = true;
    const image = new Image();
    image.onload = () => {
      const canvas = new OffscreenCanvas(SIDE, SIDE);
      const context = canvas.getContext('2d');
      if (!context || !current) return;
      const { naturalWidth: w, naturalHeight: h } = image;
      context.drawImage(image, x * w, y * h, width * w, height * h, 0, 0, SIDE, SIDE);
      setColour(edgeOf(context.getImageData(0, 0, SIDE, SIDE).data));
    };
    image.src = previewUrl;
    return () => {
      current = false;
    };
  }, [previewUrl, x, y, width, height]);
  return colour;
}

function edgeOf(pixels: Uint8ClampedArray): string {
  const sums = [0, 0, 0];
  let count = 0;
  for (let at = 0; at < SIDE * SIDE; at++) {
    const [column, row] = [at % SIDE, Math.floor(at / SIDE)];
    if (column > 0 && row > 0 && column < SIDE - 1 && row < SIDE - 1) continue;
    count++;
    for (let k = 0; k < 3; k++) sums[k] = (sums[k] ?? 0) + (pixels[at * 4 + k] ?? 255);
  }
  return `#${sums
    .map((sum) =>
      Math.round(sum / count)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
