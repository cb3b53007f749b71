'use client';
import dynamic from 'next/dynamic';
import type { Analysis } from '@/core/picture';
import type { Finding } from '@/core/findings';
import { ratioAspect } from '@/core/picture';
import { stageOptics } from '@/core/render';
import { Segments } from '@/ui';
import { SHEEN_WORDS } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import type { PictureTaking } from '../use-take-picture';
import { CropEditor } from './crop-editor';
import { PictureDrop } from './picture-drop';

const LandingDrawing = dynamic(() => import('../drawings/landing').then((file) => file.LandingDrawing), { ssr: false });
const LayerHandles = dynamic(() => import('./layer-handles').then((file) => file.LayerHandles), { ssr: false });
const SheetDrawing = dynamic(() => import('../drawings/sheet').then((file) => file.SheetDrawing), { ssr: false });

/** The picture with its crop, or as it should look on the piece. */
export type PictureView = 'crop' | 'piece';

export function PictureSpecimen({
  view,
  onView,
  taking,
  shown,
}: {
  view: PictureView;
  onView: (view: PictureView) => void;
  taking: PictureTaking;
  /** A finding to be marked in the picture. */
  shown: { finding: Finding; analysis: Analysis } | null;
}) {
  const { piece, plan, picture, side } = useOpenPiece();
  const { window, look, blank } = plan.surface;
  const hasPiece = look !== null && blank !== null;
  const views = (
    <Segments
      value={view}
      aria-label={say`What is shown`}
      options={[
        { id: 'crop', name: say`Picture` },
        { id: 'piece', name: say`On the piece`, disabled: !hasPiece },
      ]}
      onCommit={onView}
    />
  );
  if (side === 'printed') return <SheetDrawing />;
  if (!picture || taking.busy) return <PictureDrop taking={taking} />;
  if (view === 'piece' && hasPiece)
    return (
      <LandingDrawing
        optics={stageOptics(plan.method.sheen)}
        caption={say`As it should look, sealed ${SHEEN_WORDS[plan.method.sheen].inText}.`}
        actions={views}
        grips={piece.picture.layers.length > 0}
        overlay={({ pxPerMm }) => <LayerHandles pxPerMm={pxPerMm} />}
      />
    );
  return (
    <CropEditor
      aspect={ratioAspect(piece.picture.ratio, window ? window.widthMm / window.heightMm : null)}
      taking={taking}
      shown={shown}
      actions={views}
    />
  );
}
