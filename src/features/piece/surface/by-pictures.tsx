'use client';
import { useState } from 'react';
import { SURFACES, type SurfaceId } from '@/core/craft';
import { groupsBy } from '@/core/shared';
import { standingView } from '@/core/render';
import { SHAPE_KINDS, resolveBlank, shapeKind, type BlankShape, type ShapeKind, type SizeMm } from '@/core/shape';
import { Fold, PictureChoice } from '@/ui';
import { SHAPE_WORDS, SURFACE_FAMILIES, SURFACE_WORDS } from '@/words';
import { say } from '@/words/say';
import css from './surface.module.css';

const GROUNDS = [...groupsBy(SURFACES, (surface) => SURFACE_FAMILIES[surface.class])].map(([name, surfaces]) => ({
  name,
  options: surfaces.map(({ id }) => ({
    id,
    name: SURFACE_WORDS[id].shortName,
    picture: <img src={`/grounds/${id}.jpg`} alt="" width={192} height={128} loading="lazy" />,
  })),
}));

/** What a shape is drawn as where its first form would tell too little. */
const DRAWN: Partial<Record<ShapeKind, { size?: SizeMm; shape?: BlankShape }>> = {
  round: { size: { widthMm: 200, heightMm: 200 } },
  panel: {
    shape: {
      kind: 'panel',
      openings: [
        { kind: 'knob', xMm: 70, yMm: 60, diameterMm: 34 },
        { kind: 'hole', xMm: 200, yMm: 130, diameterMm: 60 },
      ],
    },
  },
  cylinder: { size: { widthMm: 130, heightMm: 170 } },
  vessel: { size: { widthMm: 190, heightMm: 160 } },
  'wrapped-canvas': { size: { widthMm: 240, heightMm: 160 } },
};
const SIZE: SizeMm = { widthMm: 300, heightMm: 200 };
const ROOM_MM = 8;

/** A shape as its outline: a vessel as it stands, all else laid flat. */
function ShapeDrawing({ kind }: { kind: ShapeKind }) {
  const { size = SIZE, shape } = DRAWN[kind] ?? {};
  const resolved = resolveBlank(shape ?? shapeKind(kind).defaults(size.widthMm), size);
  if (!resolved.ok) return null;
  const { standing, path, widthMm, heightMm, folds, front } = resolved.value;
  const seen = standing ? standingView(standing) : { path, widthMm, heightMm };
  const viewBox = [-ROOM_MM, -ROOM_MM, seen.widthMm + 2 * ROOM_MM, seen.heightMm + 2 * ROOM_MM].join(' ');
  return (
    <svg viewBox={viewBox} className={css.outline} aria-hidden>
      <path d={seen.path} />
      {folds.length > 0 && (
        <rect x={front.xMm} y={front.yMm} width={front.widthMm} height={front.heightMm} strokeDasharray="3 3" />
      )}
    </svg>
  );
}

const SHAPES = [
  {
    name: say`Shape`,
    options: SHAPE_KINDS.map((id) => ({
      id,
      name: SHAPE_WORDS[id].shortName,
      picture: <ShapeDrawing kind={id} />,
    })),
  },
];

/** What it is made of and its shape as they look; open while nothing is chosen, folded by a press. */
export function ByPictures({
  kind,
  shape,
  onKind,
  onShape,
}: {
  kind: SurfaceId | null;
  shape: ShapeKind;
  onKind: (kind: SurfaceId) => void;
  onShape: (shape: ShapeKind) => void;
}) {
  const [open, setOpen] = useState(kind === null);
  return (
    <Fold summary={say`Choose by pictures`} open={open} onToggle={setOpen}>
      <PictureChoice
        label={say`Kind of surface, by pictures`}
        value={kind}
        families={GROUNDS}
        onCommit={onKind}
        onPressed={() => setOpen(false)}
      />
      {kind !== null && (
        <PictureChoice
          label={say`Shape, by pictures`}
          value={shape}
          families={SHAPES}
          onCommit={onShape}
          onPressed={() => setOpen(false)}
        />
      )}
    </Fold>
  );
}
