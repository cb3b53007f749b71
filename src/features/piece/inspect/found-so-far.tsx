import { useState } from 'react';
import type { Point } from '@/core/photo';
import { useObjectUrl } from '@/features/shelf';
import css from './inspect.module.css';

/** The photo while it is read, with the print's outline as soon as it is found. */
export function FoundSoFar({ photo, outline }: { photo: Blob; outline: readonly Point[] | null }) {
  const url = useObjectUrl(photo);
  const [aspect, setAspect] = useState<number | null>(null);
  if (!url) return null;
  return (
    <div className={css.soFar}>
      <img
        src={url}
        alt="The photo that is being read"
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) => setAspect(naturalWidth / naturalHeight)}
      />
      {outline && aspect && (
        <svg viewBox={`0 0 ${aspect} 1`} preserveAspectRatio="none" data-testid="first-outline" aria-hidden>
          <polygon points={outline.map(({ x, y }) => `${x * aspect},${y}`).join(' ')} data-of="outline" />
        </svg>
      )}
    </div>
  );
}
