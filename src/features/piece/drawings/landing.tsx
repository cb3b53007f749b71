'use client';
import { useId, type ReactNode } from 'react';
import { CroppedPicture, Specimen, SurfaceFill, useUnits, type SpecimenScale } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { rectOf } from './rect-of';
import { SheetDrawing } from './sheet';
import { TurnButton } from './turn-button';

interface LandingProps {
  /** The picture as it lies there now: not yet, faintly under its paper, or landed. */
  picture?: 'none' | 'ghost' | 'landed';
  /** Milky veil of paper left, 0–1. */
  haze?: number;
  gloss?: boolean;
  overlay?: (scale: SpecimenScale) => ReactNode;
  caption: ReactNode;
}

/** The piece as it stands, seen from the front. Turned over it is the sheet as printed. */
export function LandingDrawing(props: LandingProps) {
  const { side } = useOpenPiece();
  return side === 'printed' ? <SheetDrawing /> : <Landed {...props} />;
}

const UNKNOWN_BLANK = { widthMm: 300, heightMm: 200 };
const OPAQUE_WHITE = '#fcfbf8';

function Landed({ picture = 'landed', haze = 0, gloss = false, overlay, caption }: LandingProps) {
  const { plan, piece, previewUrl } = useOpenPiece();
  const id = useId();
  const units = useUnits();
  const size = plan.blank ?? UNKNOWN_BLANK;
  const print = plan.print;
  const opaque = plan.binder?.base === 'white';
  return (
    <Specimen
      size={size} side="landing" actions={<TurnButton />} caption={plan.blank ? caption : 'The blank is not measured yet: this is a stand-in.'}
      label={`${piece.name}: ${plan.surface?.name ?? 'blank'}, ${plan.blank ? units.size(size.widthMm, size.heightMm) : 'size unknown'}, as it lands`}
    >
      {(scale) => (
        <g style={{ isolation: 'isolate' }}>
          <SurfaceFill id={id} size={size} surface={plan.surface} colour={plan.groundColour} coated={piece.surface.baseCoat !== 'none'} pxPerMm={scale.pxPerMm} />
          {print && previewUrl && picture === 'landed' && (
            <>
              {opaque && <rect {...rectOf(print.rect)} fill={OPAQUE_WHITE} />}
              <CroppedPicture href={previewUrl} crop={print.crop} at={print.rect} blend="multiply" opacity={plan.binder?.tonerKept ?? 1} filter={gloss ? 'saturate(1.15) contrast(1.06)' : undefined} />
              {haze > 0 && <rect {...rectOf(print.rect)} fill="#f7f6f2" opacity={haze} />}
            </>
          )}
          {print && previewUrl && picture === 'ghost' && (
            <>
              <rect {...rectOf(print.rect)} fill="#f4f3ee" />
              <CroppedPicture href={previewUrl} crop={print.crop} at={print.rect} opacity={0.22} />
            </>
          )}
          <rect width={size.widthMm} height={size.heightMm} fill="none" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" />
          {overlay?.(scale)}
        </g>
      )}
    </Specimen>
  );
}
