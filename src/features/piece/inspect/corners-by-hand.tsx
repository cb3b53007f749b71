'use client';
import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import type { Point } from '@/core/photo';
import { useObjectUrl } from '@/features/shelf';
import { NextRow, Note, TextButton } from '@/ui';
import { Handle } from '../drawings/handle';
import css from './inspect.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

const INSET = 0.2;
const START: readonly Point[] = [
  { x: INSET, y: INSET },
  { x: 1 - INSET, y: INSET },
  { x: 1 - INSET, y: 1 - INSET },
  { x: INSET, y: 1 - INSET },
];
const NAMES = [
  say`Top left of the print`,
  say`Top right of the print`,
  say`Bottom right of the print`,
  say`Bottom left of the print`,
];
/** As far as a drawing of the photo is wide, in its own units. */
const WIDE = 400;

/** The print shown in its photo by four grips, where it was not found or lies wrong. */
export function CornersByHand({
  photo,
  corners,
  busy,
  onRead,
  onRight = null,
  onClose,
  closing,
}: {
  photo: Blob;
  /** Where it was found, shares of the photo's size; null where it was not. */
  corners: readonly Point[] | null;
  busy: boolean;
  onRead: (corners: readonly Point[]) => void;
  /** It lies as it was found; null where nobody asks. */
  onRight?: (() => void) | null;
  onClose: () => void;
  closing: string;
}) {
  const url = useObjectUrl(photo);
  const [at, setAt] = useState<readonly Point[]>(corners ?? START);
  const [isMoved, setIsMoved] = useState(false);
  const isAsked = onRight !== null && !isMoved;
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    let current = true;
    void createImageBitmap(photo, { imageOrientation: 'from-image' }).then((bitmap) => {
      if (current) setSize({ width: bitmap.width, height: bitmap.height });
      bitmap.close();
    });
    return () => {
      current = false;
    };
  }, [photo]);
  if (!url || !size) return null;
  const high = (WIDE * size.height) / size.width;
  const put = (index: number, to: { xMm: number; yMm: number }) => {
    setIsMoved(true);
    setAt(at.map((corner, k) => (k === index ? { x: to.xMm / WIDE, y: to.yMm / high } : corner)));
  };
  return (
    <div data-testid="corners">
      {onRight && <p className={css.decision}>{say`Is this where the print lies, its top left at “top left”?`}</p>}
      <Note>
        {sentences(
          onRight && say`There is too little in it to be sure by: nothing is told of it until you have looked.`,
          onRight
            ? say`If not, put the four grips on its corners, the first on its top left as it hangs.`
            : say`Put the four grips on the corners of the print, the first on its top left as it hangs.`,
          say`Arrow keys move a grip, with Shift further.`,
        )}
      </Note>
      <svg className={css.photo} viewBox={`0 0 ${WIDE} ${high}`} role="group" aria-label={say`The print in the photo`}>
        <image href={url} width={WIDE} height={high} />
        <polygon points={at.map(({ x, y }) => `${x * WIDE},${y * high}`).join(' ')} data-of="outline" />
        {at.map((corner, index) => (
          <Handle
            key={NAMES[index]}
            at={{ xMm: corner.x * WIDE, yMm: corner.y * high }}
            label={NAMES[index] ?? ''}
            pxPerMm={1}
            onMove={(to) => put(index, to)}
            onDrop={(to) => put(index, to)}
            testId={`corner-${index}`}
          />
        ))}
        <text
          x={(at[0]?.x ?? 0) * WIDE + 14}
          y={(at[0]?.y ?? 0) * high + 14}
          className={css.first}
        >{say`top left`}</text>
      </svg>
      <NextRow>
        {isAsked ? (
          <Button
            size="small"
            variant="contained"
            disabled={busy}
            onClick={onRight}
            data-testid="lies-so"
          >{say`Yes, it lies so`}</Button>
        ) : (
          <Button
            size="small"
            variant="contained"
            disabled={busy}
            onClick={() => onRead(at)}
            data-testid="read-corners"
          >{say`Read it so`}</Button>
        )}
        <TextButton onClick={onClose}>{closing}</TextButton>
      </NextRow>
    </div>
  );
}
