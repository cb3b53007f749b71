'use client';
import { useMemo, useState, type ReactNode } from 'react';
import ReactCrop, { type PercentCrop } from 'react-image-crop';
import 'react-image-crop/dist/ReactCrop.css';
import { FULL_CROP, cropToAspect, frameSize, keptFull, type Analysis } from '@/core/picture';
import { printTables } from '@/core/stations';
import type { Finding } from '@/core/findings';
import { stageOptics } from '@/core/render';
import { wholeBlock } from '@/core/sheet';
import { LookCanvas } from '@/features/look';
import type { LookOrder } from '@/workers/look/protocol';
import type { PictureTaking } from '../use-take-picture';
import { useOpenPiece } from '../piece-context';
import { TurnButton } from '../drawings/turn-button';
import { FindingOverlay } from './finding-overlay';
import css from './picture.module.css';
import { findingWords } from '@/words';
import { useTone } from '../tone-context';
import { useFileDrop } from '@/ui';
import { say } from '@/words/say';

const LONGEST_PX = 1100;

/** What the frame and its handles say. */
const HANDLES = {
  cropArea: say`The kept part: move it with the arrow keys`,
  nwDragHandle: say`Its corner at the top left: move it with the arrow keys`,
  nDragHandle: say`Its top edge: move it with the arrow keys up and down`,
  neDragHandle: say`Its corner at the top right: move it with the arrow keys`,
  eDragHandle: say`Its right edge: move it with the arrow keys left and right`,
  seDragHandle: say`Its corner at the bottom right: move it with the arrow keys`,
  sDragHandle: say`Its bottom edge: move it with the arrow keys up and down`,
  swDragHandle: say`Its corner at the bottom left: move it with the arrow keys`,
  wDragHandle: say`Its left edge: move it with the arrow keys left and right`,
};
const PLAIN_OPTICS = stageOptics('gloss');

/**
 * The upright picture, turned and toned, with its crop. Dragged, or moved with the arrow keys; a dropped file replaces
 * it.
 */
export function CropEditor({
  aspect,
  taking,
  shown,
  actions,
}: {
  aspect: number | null;
  taking: PictureTaking;
  shown: { finding: Finding; analysis: Analysis } | null;
  actions: ReactNode;
}) {
  const { piece, plan, picture, change } = useOpenPiece();
  const { tone } = useTone();
  const [drag, setDrag] = useState<PercentCrop | null>(null);
  const { frame: dropFrame, over } = useFileDrop(taking.take);
  const { turns, straightenDeg } = piece.picture;
  const curves = useMemo(() => printTables(tone, plan, plan.method.sheen), [tone, plan]);
  const order = useMemo((): LookOrder | null => {
    if (!picture) return null;
    const { widthPx, heightPx } = frameSize(picture, { turns, straightenDeg });
    const whole = { xMm: 0, yMm: 0, widthMm: widthPx, heightMm: heightPx };
    return {
      face: whole,
      pxPerMm: LONGEST_PX / Math.max(widthPx, heightPx),
      look: null,
      print: whole,
      opaqueWhite: null,
      fade: 'none',
      fadeMm: 0,
      tone: curves,
      kept: 1,
      worn: 0,
      standing: null,
      optics: PLAIN_OPTICS,
      picture: {
        id: picture.id,
        preview: picture.preview,
        turning: { turns, straightenDeg },
        crop: FULL_CROP,
        origin: whole,
        box: whole,
        blocks: [wholeBlock(whole)],
        layers: [],
        landed: null,
        sideColour: 0,
      },
    };
  }, [picture, turns, straightenDeg, curves]);
  if (!picture) return null;
  const frame = frameSize(picture, { turns, straightenDeg });
  const stored = keptFull(
    aspect === null ? piece.picture.crop : cropToAspect(piece.picture.crop, frame, aspect),
    frame,
    straightenDeg,
  );
  const current: PercentCrop = drag ?? {
    unit: '%',
    x: stored.x * 100,
    y: stored.y * 100,
    width: stored.width * 100,
    height: stored.height * 100,
  };
  const keep = (crop: PercentCrop) => {
    setDrag(null);
    if (crop.width < 1 || crop.height < 1) return;
    const part = (value: number) => Math.min(1, Math.max(0, value / 100));
    const next = keptFull(
      { x: part(crop.x), y: part(crop.y), width: part(crop.width), height: part(crop.height) },
      frame,
      straightenDeg,
    );
    const moved = (Object.keys(next) as (keyof typeof next)[]).some(
      (key) => Math.abs(next[key] - stored[key]) > 0.0005,
    );
    if (moved) change('picture', { crop: next }, say`crop`);
  };
  const shape = frame.widthPx / frame.heightPx;
  return (
    <figure className={css.crop} {...dropFrame} data-active={over}>
      <div className={css.stage}>
        <ReactCrop
          crop={current}
          {...(aspect === null ? {} : { aspect })}
          keepSelection
          ariaLabels={HANDLES}
          onChange={(_, percent) => setDrag(percent)}
          onComplete={(_, percent) => keep(percent)}
          className={css.cropper ?? ''}
        >
          <div
            role="img"
            aria-label={say`${picture.name}, upright`}
            className={css.preview}
            data-testid="picture-preview"
            style={{ width: `min(100cqw, ${100 * shape}cqh)`, aspectRatio: shape }}
          >
            <LookCanvas order={order} />
            {shown && <FindingOverlay finding={shown.finding} analysis={shown.analysis} crop={stored} />}
          </div>
        </ReactCrop>
      </div>
      <figcaption className={css.caption}>
        <span>
          {shown
            ? say`Striped: what ${findingWords(shown.finding.fact).lead}.`
            : say`Drag the frame or its corners; arrow keys move it.`}
        </span>
        <span className={css.actions}>
          {actions}
          <TurnButton />
        </span>
      </figcaption>
    </figure>
  );
}
