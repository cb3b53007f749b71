import type { Point } from '@/core/photo';
import { BitmapCanvas } from './bitmap-canvas';
import css from './drawings.module.css';

/** A photo with an outline drawn on it as soon as that is found, in shares of its size. */
export function PhotoOutline({
  photo,
  alt,
  outline,
  testId,
}: {
  photo: ImageBitmap;
  alt: string;
  outline: readonly Point[] | null;
  testId: string;
}) {
  const aspect = photo.width / photo.height;
  return (
    <div className={css.photo}>
      <BitmapCanvas bitmap={photo} label={alt} />
      {outline && (
        <svg viewBox={`0 0 ${aspect} 1`} preserveAspectRatio="none" data-testid={testId} aria-hidden>
          <polygon points={outline.map(({ x, y }) => `${x * aspect},${y}`).join(' ')} data-of="outline" />
        </svg>
      )}
    </div>
  );
}
