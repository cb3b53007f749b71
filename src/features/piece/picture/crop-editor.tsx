'use client';
import { useState } from 'react';
import ReactCrop, { type PercentCrop } from 'react-image-crop';
import 'react-image-crop/dist/ReactCrop.css';
import { cropToAspect } from '@/core/picture';
import type { PictureTaking } from '../use-take-picture';
import { useOpenPiece } from '../piece-context';
import { TurnButton } from '../drawings/turn-button';
import { useDropFrame } from './picture-drop';
import css from './picture.module.css';

/** The upright picture with its crop. Dragged, or moved with the arrow keys; a dropped file replaces it. */
export function CropEditor({ aspect, taking }: { aspect: number | null; taking: PictureTaking }) {
  const { piece, picture, previewUrl, change } = useOpenPiece();
  const [drag, setDrag] = useState<PercentCrop | null>(null);
  const { getRootProps, isDragActive } = useDropFrame(taking);
  if (!picture || !previewUrl) return null;
  const stored = aspect === null ? piece.picture.crop : cropToAspect(piece.picture.crop, picture, aspect);
  const shown: PercentCrop = drag ?? { unit: '%', x: stored.x * 100, y: stored.y * 100, width: stored.width * 100, height: stored.height * 100 };
  const keep = (crop: PercentCrop) => {
    setDrag(null);
    if (crop.width < 1 || crop.height < 1) return;
    const part = (value: number) => Math.min(1, Math.max(0, value / 100));
    const next = { x: part(crop.x), y: part(crop.y), width: part(crop.width), height: part(crop.height) };
    const moved = (Object.keys(next) as (keyof typeof next)[]).some((key) => Math.abs(next[key] - stored[key]) > 0.0005);
    if (moved) change('picture', { crop: next }, 'crop');
  };
  return (
    <figure className={css.crop} {...getRootProps()} data-active={isDragActive}>
      <div className={css.stage}>
        <ReactCrop crop={shown} aspect={aspect ?? undefined} keepSelection onChange={(_, percent) => setDrag(percent)} onComplete={(_, percent) => keep(percent)} className={css.cropper}>
          <img src={previewUrl} alt={`${picture.name}, upright`} className={css.preview} data-testid="picture-preview" />
        </ReactCrop>
      </div>
      <figcaption className={css.caption}><span>Drag the frame or its corners; arrow keys move it.</span><TurnButton /></figcaption>
    </figure>
  );
}
