'use client';
import { useId, type ReactNode } from 'react';
import { rubbedOptics, stageOptics, type Optics } from '@/core/render';
import type { RectMm } from '@/core/shape';
import { LookInSvg, landingOrder } from '@/features/look';
import { useObjectUrl } from '@/features/shelf';
import { Specimen, useUnits, type SpecimenScale, useKeyed } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { rectOf } from './rect-of';
import { SheetDrawing } from './sheet';
import { TurnButton } from './turn-button';
import { SURFACE_WORDS, specimenWords, remarks } from '@/words';
import { useTone } from '../tone-context';
import css from './drawings.module.css';
import { say } from '@/words/say';

interface LandingProps {
  /** What the piece has been through; null shows the bare blank. */
  optics: Optics | null;
  overlay?: (scale: SpecimenScale) => ReactNode;
  caption: ReactNode;
  /** Traced layers are painted on. */
  painted?: boolean;
  actions?: ReactNode;
  /** The overlay has grips to drag. */
  grips?: boolean;
  /** What the overlay shows, in words. */
  described?: readonly string[];
}

/** The piece as it stands, seen from the front. Turned over it is the sheet as printed. */
export function LandingDrawing(props: LandingProps) {
  const { side } = useOpenPiece();
  return side === 'printed' ? <SheetDrawing /> : <Landed {...props} />;
}

const UNKNOWN_BLANK = { widthMm: 300, heightMm: 200 };
/** Before anything is on it: dry and not wetted. */
const BARE = stageOptics('hazy');

function Landed({ optics, overlay, caption, painted = false, actions, grips = false, described = [] }: LandingProps) {
  const { plan, piece } = useOpenPiece();
  const id = useId();
  const units = useUnits();
  const {
    surface: { blank },
  } = plan;
  const size = blank ?? UNKNOWN_BLANK;
  return (
    <Specimen
      size={size}
      grips={grips}
      side="landing"
      described={[
        ...specimenWords(
          {
            surface: plan.surface.record ? SURFACE_WORDS[plan.surface.record.id].inText : null,
            blank,
            landed: optics || described.length > 0 ? (plan.surface.print?.formed.landed ?? []) : [],
            layers: optics ? piece.picture.layers : [],
            grainDeg:
              plan.surface.record?.class === 'wood' && !plan.surface.look?.coat ? piece.surface.grain.angleDeg : null,
          },
          units,
        ),
        ...described,
      ]}
      actions={
        <>
          {actions}
          <TurnButton />
        </>
      }
      caption={blank ? caption : say`The object is not measured yet: this is a stand-in.`}
      label={say`${piece.name}: ${remarks(
        plan.surface.record ? SURFACE_WORDS[plan.surface.record.id].name : say`object`,
        blank ? units.size(size.widthMm, size.heightMm) : say`size unknown`,
        say`as it lands`,
      )}`}
    >
      {(scale) => (
        <g>
          {blank && (
            <clipPath id={`${id}-outline`}>
              <path d={blank.path} clipRule="evenodd" />
            </clipPath>
          )}
          {blank && plan.surface.look ? (
            <g clipPath={`url(#${id}-outline)`}>
              <Look optics={optics} pxPerMm={scale.pxPerMm} />
            </g>
          ) : (
            <rect width={size.widthMm} height={size.heightMm} fill="var(--sheet)" />
          )}
          {painted && <Traced />}
          {blank ? (
            <path d={blank.path} fill="none" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" />
          ) : (
            <rect
              width={size.widthMm}
              height={size.heightMm}
              fill="none"
              stroke="var(--ink)"
              strokeDasharray="6 5"
              vectorEffect="non-scaling-stroke"
            />
          )}
          {blank?.folds.map((fold, index) => (
            <line
              key={index}
              {...fold}
              stroke="#1E2126"
              strokeWidth={1}
              strokeDasharray="4 4"
              vectorEffect="non-scaling-stroke"
            />
          ))}
          {overlay?.(scale)}
        </g>
      )}
    </Specimen>
  );
}

function Look({ optics, pxPerMm }: { optics: Optics | null; pxPerMm: number }) {
  const { plan, piece, picture, moved } = useOpenPiece();
  const { tone } = useTone();
  const {
    surface: { look, blank, print },
    method: { binder },
  } = plan;
  const scale = Math.round(pxPerMm * 100) / 100;
  // The plan is made anew with every look at the clock: only what the drawing rests on counts.
  const order = useKeyed(
    [
      look,
      blank?.path,
      print?.rect,
      print?.picture,
      print?.crop,
      binder?.id,
      plan.method.kept,
      piece.picture.turns,
      piece.picture.straightenDeg,
      plan.method.sheen,
      optics,
      scale,
    ],
    [tone, moved, picture?.id],
    () =>
      landingOrder(
        { job: piece, plan, picture, layers: moved, tone, optics: optics ?? BARE, pxPerMm: scale },
        optics !== null,
      ),
  );
  return (
    <LookInSvg
      order={order}
      xMm={0}
      yMm={0}
      widthMm={blank?.widthMm ?? 0}
      heightMm={blank?.heightMm ?? 0}
      testId="look"
    />
  );
}

/** Traced layers, painted on. */
export function Traced() {
  const { layers } = useOpenPiece();
  return (
    <g>
      {layers
        .filter(({ layer }) => layer.mode === 'trace')
        .map(({ layer, drawn }) =>
          drawn.kind === 'text' ? (
            <path key={layer.id} d={drawn.path} fill={drawn.colour} />
          ) : (
            <TracedPicture key={layer.id} file={drawn.file} box={drawn.box} />
          ),
        )}
    </g>
  );
}

/** A drawing that is traced: its lines, on the piece. */
function TracedPicture({ file, box }: { file: Blob; box: RectMm }) {
  const url = useObjectUrl(file);
  return url ? <image href={url} {...rectOf(box)} preserveAspectRatio="none" className={css.traced} /> : null;
}

/** The state a piece is in now, by what was done to it. */
export function opticsNow(
  piece: { lay: { laidAt: number | null }; rub: { done: readonly unknown[]; finishedAt: number | null } },
  passes: number,
): Optics {
  const finished = piece.rub.finishedAt !== null || (passes > 0 && piece.rub.done.length >= passes);
  if (finished) return stageOptics('hazy');
  return rubbedOptics(passes === 0 ? 0 : piece.rub.done.length / passes);
}
