import { useState } from 'react';
import type { Point } from '@/core/photo';
import { useObjectUrl } from '@/features/shelf';
import css from './drawings.module.css';

/** A photo with an outline drawn on it as soon as that is found, in shares of its size. */
export function PhotoOutline({
  photo,
  alt,
  outline,
  testId,
}: {
  photo: Blob;
  alt: string;
  outline: readonly Point[] | null;
  testId: string;
}) {
  const url = useObjectUrl(photo);
  const [aspect, setAspect] = useState<number | null>(null);
  if (!url) return null;
  return (
    <div className={css.photo}>
      <img
        src={url}
        alt={alt}
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) => setAspect(naturalWidth / naturalHeight)}
      />
      {outline && aspect && (
        <svg viewBox={`0 0 ${aspect} 1`} preserveAspectRatio="none" data-testid={testId} aria-hidden>
          <polygon points={outline.map(({ x, y }) => `${x * aspect},${y}`).join(' ')} data-of="outline" />
        </svg>
      )}
    </div>
  );
}
