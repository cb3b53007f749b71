'use client';
import { useKeyed } from '@/ui';
import { useId } from 'react';
import { rubbedOptics, stageOptics, standingView } from '@/core/render';
import { LookInSvg, bentLayers, landingOrder, movedLayers, useLayers } from '@/features/look';
import type { PlannedPiece } from '@/features/plans';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import { bendFor, shapeKind, type RectMm } from '@/core/shape';
import { say } from '@/words/say';

const UNKNOWN = { xMm: 0, yMm: 0, widthMm: 240, heightMm: 170 };

/** What of a piece is seen on the shelf: its front, and of a vessel all of it, as it stands. */
export function figureSize({ plan: { surface } }: PlannedPiece): RectMm {
  if (!surface.blank) return UNKNOWN;
  const { standing, front } = surface.blank;
  return standing ? { xMm: 0, yMm: 0, ...standingView(standing) } : front;
}

/**
 * One piece drawn small at a given scale, as it stands now: laid under its paper, hazy, sealed. One that is only planned
 * is drawn as it should look, with a pencilled outline.
 */
export function PieceFigure({ planned, pxPerMm }: { planned: PlannedPiece; pxPerMm: number }) {
  const { piece, plan, states } = planned;
  const id = useId();
  const picture = useStoredPicture(piece.picture.pictureId) ?? null;
  const layers = useLayers(piece.picture.layers);
  const front = figureSize(planned);
  const {
    surface: { blank },
  } = plan;
  const passes = plan.rub.rubbing?.passes.length ?? 0;
  const opticsNow = () => {
    if (states.seal === 'done') return stageOptics(plan.method.sheen);
    if (states.rub === 'done') return stageOptics('hazy');
    if (states.lay === 'done') return rubbedOptics(passes === 0 ? 0 : piece.rub.done.length / passes);
    return stageOptics(plan.method.sheen);
  };
  const optics = opticsNow();
  const standing = blank?.standing ?? null;
  const view = standing ? standingView(standing) : null;
  const order = useKeyed(
    [
      plan.surface.look,
      blank?.path,
      plan.surface.print?.rect,
      plan.surface.print?.crop,
      plan.method.binder?.id,
      piece.picture.tone,
      piece.picture.turns,
      piece.picture.straightenDeg,
      optics,
      pxPerMm,
    ],
    [picture?.id, layers],
    () => {
      const flat = landingOrder(
        {
          job: piece,
          plan,
          picture,
          layers: movedLayers(bentLayers(layers, bendFor(plan.surface.blank))),
          tone: piece.picture.tone,
          optics,
          pxPerMm,
        },
        true,
      );
      return flat && { ...flat, standing };
    },
  );
  const outline = {
    fill: 'none',
    stroke: 'var(--ink)',
    strokeWidth: 1.2,
    vectorEffect: 'non-scaling-stroke',
    ...(states.lay === 'done' ? {} : { strokeDasharray: '5 4' }),
  } as const;
  return (
    <svg
      width={front.widthMm * pxPerMm}
      height={front.heightMm * pxPerMm}
      viewBox={`${front.xMm} ${front.yMm} ${front.widthMm} ${front.heightMm}`}
      role="img"
      aria-label={say`${piece.name} at its size`}
      style={{
        display: 'block',
        overflow: shapeKind(piece.surface.shape.kind).seenInPart && !view ? 'hidden' : 'visible',
      }}
    >
      {blank && plan.surface.look ? (
        <>
          <clipPath id={`${id}-outline`}>
            <path d={blank.path} clipRule="evenodd" />
          </clipPath>
          <g clipPath={view ? undefined : `url(#${id}-outline)`}>
            <LookInSvg
              order={order}
              xMm={0}
              yMm={0}
              widthMm={view?.widthMm ?? blank.widthMm}
              heightMm={view?.heightMm ?? blank.heightMm}
            />
          </g>
          <path d={view?.path ?? blank.path} {...outline} />
          {!view && blank.folds.length > 0 && (
            <rect x={front.xMm} y={front.yMm} width={front.widthMm} height={front.heightMm} {...outline} />
          )}
        </>
      ) : (
        <Unmeasured rect={front} preview={picture?.preview ?? null} />
      )}
    </svg>
  );
}

/** What has no size yet: a stand-in, with its picture in it where there is one. */
function Unmeasured({ rect: { xMm, yMm, widthMm, heightMm }, preview }: { rect: RectMm; preview: Blob | null }) {
  const url = useObjectUrl(preview);
  const place = { x: xMm, y: yMm, width: widthMm, height: heightMm };
  return (
    <>
      <rect {...place} fill="var(--sheet)" />
      {url && <image {...place} href={url} preserveAspectRatio="xMidYMid meet" />}
      <rect
        {...place}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
        strokeDasharray="6 5"
      />
    </>
  );
}
