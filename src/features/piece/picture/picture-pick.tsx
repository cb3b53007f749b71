'use client';
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
    accept="image/jpeg,image/png,image/webp"
    onFile={taking.take}
    variant={prominent ? 'contained' : 'outlined'}
    size={prominent ? 'large' : 'small'}
  >
    {label}
  </FileButton>
);
