import { useEffect, useRef } from 'react';

/** A picture that a worker handed over, shown as it is. */
export function BitmapCanvas({
  bitmap,
  label,
  className,
  testId,
}: {
  bitmap: ImageBitmap;
  /** For who can't see it; without one it is decoration. */
  label?: string;
  className?: string | undefined;
  testId?: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(bitmap, 0, 0);
  }, [bitmap]);
  return (
    <canvas
      ref={canvas}
      width={bitmap.width}
      height={bitmap.height}
      className={className}
      data-testid={testId}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    />
  );
}
