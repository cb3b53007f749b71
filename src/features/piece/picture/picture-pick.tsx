'use client';
import { PICTURE_ACCEPT } from '@/core/picture';
import { FileButton } from '@/ui';
import type { PictureTaking } from '../use-take-picture';

export const PicturePick = ({
  taking,
  label,
  prominent = false,
}: {
  taking: PictureTaking;
  label: string;
  prominent?: boolean;
}) => (
  <FileButton
    accept={PICTURE_ACCEPT}
    onFile={taking.take}
    variant={prominent ? 'contained' : 'outlined'}
    size={prominent ? 'large' : 'small'}
  >
    {label}
  </FileButton>
);
