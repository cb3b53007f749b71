import type { Crop } from '@/core/picture';
import type { RectMm } from '@/core/shape';

interface CroppedPictureProps { href: string; crop: Crop; at: RectMm; mirrored?: boolean; opacity?: number; blend?: 'multiply' | 'normal'; filter?: string }

/** The cropped picture in its place, mm; mirrored as it comes out of the printer. Multiplied it acts as toner does: white is no ink. */
export function CroppedPicture({ href, crop, at, mirrored = false, opacity = 1, blend = 'normal', filter }: CroppedPictureProps) {
  const turn = mirrored ? `translate(${2 * at.xMm + at.widthMm} 0) scale(-1 1)` : undefined;
  return (
    <g transform={turn} style={{ mixBlendMode: blend }} opacity={opacity} filter={filter} data-testid={mirrored ? 'picture-mirrored' : 'picture-landing'}>
      <svg x={at.xMm} y={at.yMm} width={at.widthMm} height={at.heightMm} viewBox={`${crop.x} ${crop.y} ${crop.width} ${crop.height}`} preserveAspectRatio="none">
        <image href={href} x={0} y={0} width={1} height={1} preserveAspectRatio="none" />
      </svg>
    </g>
  );
}
