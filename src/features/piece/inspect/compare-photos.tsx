'use client';
import { Slider } from '@mui/material';
import { useMemo, useState } from 'react';
import { boxCorners, homographyOf } from '@/core/photo';
import type { KeptReading } from '@/core/inspect';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import css from './inspect.module.css';
import { say } from '@/words/say';

const SHOWN_WIDTH = 480;

/** Two photos laid over each other as the print lies, with a slider between them. */
export function ComparePhotos({ before, after }: { before: KeptReading; after: KeptReading }) {
  const [share, setShare] = useState(50);
  const [older, newer] = [
    useObjectUrl(useStoredPicture(before.dryPhotoId)?.file ?? null),
    useObjectUrl(useStoredPicture(after.dryPhotoId)?.file ?? null),
  ];
  const { cell } = after;
  const height = (SHOWN_WIDTH * cell.heightMm * cell.rows) / (cell.widthMm * cell.columns);
  if (!older || !newer) return null;
  return (
    <figure className={css.compare}>
      <div className={css.both} style={{ aspectRatio: `${SHOWN_WIDTH} / ${height}` }}>
        <svg viewBox={`0 0 ${SHOWN_WIDTH} ${height}`} aria-hidden>
          <foreignObject width={SHOWN_WIDTH} height={height}>
            <Straightened url={older} of={before} height={height} />
          </foreignObject>
          <foreignObject x={(SHOWN_WIDTH * share) / 100} width={SHOWN_WIDTH * (1 - share / 100)} height={height}>
            <Straightened url={newer} of={after} height={height} shift={-(SHOWN_WIDTH * share) / 100} />
          </foreignObject>
          <line
            x1={(SHOWN_WIDTH * share) / 100}
            x2={(SHOWN_WIDTH * share) / 100}
            y1={0}
            y2={height}
            stroke="#fff"
            strokeWidth={2}
          />
        </svg>
      </div>
      <Slider
        value={share}
        onChange={(_, value) => setShare(value)}
        aria-label={say`How much of the photo before is shown`}
        size="small"
        data-testid="compare-slider"
      />
      <figcaption>
        <span>{say`After pass ${before.pass}`}</span>
        <span>{say`After pass ${after.pass}`}</span>
      </figcaption>
    </figure>
  );
}

/** A photo drawn so that the print in it lies square. */
function Straightened({
  url,
  of,
  height,
  shift = 0,
}: {
  url: string;
  of: KeptReading;
  height: number;
  shift?: number;
}) {
  const transform = useMemo(() => {
    const h = homographyOf(
      of.corners.map(({ x, y }) => ({ x: x * of.photo.width, y: y * of.photo.height })),
      boxCorners(SHOWN_WIDTH, height),
    );
    if (!h) return undefined;
    const [a, b, c, d, e, f, g, i] = h;
    return `translateX(${shift}px) matrix3d(${[a, d, 0, g, b, e, 0, i, 0, 0, 1, 0, c, f, 0, 1].join(',')})`;
  }, [of, height, shift]);
  return (
    <img
      src={url}
      alt=""
      width={of.photo.width}
      height={of.photo.height}
      className={css.straight}
      style={{ transform }}
    />
  );
}
