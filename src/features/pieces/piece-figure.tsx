'use client';
import { useId, useMemo } from 'react';
import { rubbedOptics, stageOptics } from '@/core/render';
import { LookInSvg, bentLayers, landingOrder, movedLayers, useLayers } from '@/features/look';
import { useStoredPicture, type PlannedPiece } from '@/features/shelf';
import { bendFor, shapeKind } from '@/core/shape';

const UNKNOWN = { xMm: 0, yMm: 0, widthMm: 240, heightMm: 170 };
/** A piece that is only planned is drawn as it should look, faintly. */
const PLANNED_OPACITY = 0.55;

/** What of a piece is seen on the shelf: its front. */
export const figureSize = ({ plan }: PlannedPiece) => plan.surface.blank?.front ?? UNKNOWN;

/** One piece drawn small at a given scale, as it stands now. What is only planned is drawn faintly. */
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
    if (states.rub === 'done') return stageOptics('matte');
    if (states.lay === 'done') return rubbedOptics(passes === 0 ? 0 : piece.rub.done.length / passes);
    return stageOptics(plan.method.sheen);
  };
  const optics = opticsNow();
  const key = JSON.stringify([
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
  ]);
  const order = useMemo(
    () =>
      landingOrder(
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
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, picture?.id, layers],
  );
  return (
    <svg
      width={front.widthMm * pxPerMm}
      height={front.heightMm * pxPerMm}
      viewBox={`${front.xMm} ${front.yMm} ${front.widthMm} ${front.heightMm}`}
      role="img"
      aria-label={`${piece.name} at its size`}
      style={{
        display: 'block',
        overflow: shapeKind(piece.surface.shape.kind).seenInPart ? 'hidden' : 'visible',
      }}
    >
      {blank && plan.surface.look ? (
        <>
          <clipPath id={`${id}-outline`}>
            <path d={blank.path} clipRule="evenodd" />
          </clipPath>
          <g clipPath={`url(#${id}-outline)`} opacity={states.lay === 'done' ? 1 : PLANNED_OPACITY}>
            <LookInSvg order={order} xMm={0} yMm={0} widthMm={blank.widthMm} heightMm={blank.heightMm} />
          </g>
          <path d={blank.path} fill="none" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" />
          <rect
            x={front.xMm}
            y={front.yMm}
            width={front.widthMm}
            height={front.heightMm}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={blank.folds.length || blank.front.widthMm < blank.widthMm ? 1.2 : 0}
            vectorEffect="non-scaling-stroke"
          />
        </>
      ) : (
        <rect
          x={front.xMm}
          y={front.yMm}
          width={front.widthMm}
          height={front.heightMm}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.2}
          vectorEffect="non-scaling-stroke"
          strokeDasharray="6 5"
        />
      )}
    </svg>
  );
}
