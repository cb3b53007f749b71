'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { stageOptics } from '@/core/render';
import type { PrintBlock } from '@/core/sheet';
import { LookInSvg, printOrder } from '@/features/look';
import type { SheetItem } from '@/features/sheets';
import { database, storedPicture } from '@/storage';

const PAPER_OPTICS = stageOptics('gloss');

/** A block of some piece's print, as its pixels are. */
export function NestedLook({ item, block, pxPerMm }: { item: SheetItem; block: PrintBlock; pxPerMm: number }) {
  const { job, plan, layers } = item;
  const picture = useLiveQuery(
    async () => (job.picture.pictureId ? ((await storedPicture(database(), job.picture.pictureId)) ?? null) : null),
    [job.picture.pictureId],
  );
  const order = useMemo(
    () =>
      printOrder(
        {
          job,
          plan,
          picture: picture ?? null,
          layers,
          tone: job.picture.tone,
          optics: PAPER_OPTICS,
          pxPerMm: 2 * pxPerMm,
        },
        block,
      ),
    [job, plan, picture, layers, block, pxPerMm],
  );
  return <LookInSvg order={order} xMm={0} yMm={0} widthMm={block.widthMm} heightMm={block.heightMm} />;
}
