'use client';
import { Button, LinearProgress } from '@mui/material';
import { ImageUp } from 'lucide-react';
import { FileButton, useFileDrop } from '@/ui';
import type { PictureTaking } from '../use-take-picture';
import { BitmapCanvas } from '../drawings/bitmap-canvas';
import { PicturePick } from './picture-pick';
import css from './picture.module.css';
import { say } from '@/words/say';

/** The empty station: a picture-sized frame to drop on, or the picture while it is read. */
export function PictureDrop({ taking }: { taking: PictureTaking }) {
  const { frame, over } = useFileDrop(taking.take);
  return (
    <div {...frame} className={css.drop} data-active={over}>
      {taking.first ? (
        <BitmapCanvas bitmap={taking.first} className={css.first} testId="first-preview" />
      ) : taking.busy ? (
        <p>{say`Reading the picture …`}</p>
      ) : (
        <>
          <ImageUp size={44} strokeWidth={1.3} aria-hidden />
          <p>{say`Drop or paste a picture here`}</p>
          <PicturePick taking={taking} label={say`Choose a picture`} prominent />
          <FileButton camera accept="image/*" onFile={taking.take} variant="outlined">{say`Take a photo`}</FileButton>
        </>
      )}
      {taking.busy && (
        <div className={css.progress}>
          <LinearProgress aria-label={say`Reading the picture`} />
          <Button size="small" onClick={taking.cancel}>{say`Stop`}</Button>
        </div>
      )}
    </div>
  );
}
