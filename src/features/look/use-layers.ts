'use client';
import { useEffect, useState } from 'react';
import type { Layer } from '@/core/picture';
import { database } from '@/storage';
import type { DrawnLayer } from '@/workers/layers';
import { outlineOf } from './fonts';

export interface ReadyLayer { layer: Layer; drawn: DrawnLayer }

const NONE: readonly ReadyLayer[] = [];

/** The layers of a piece as they can be drawn: lettering as outlines, pictures with their files. Those not ready yet are left out. */
export function useLayers(layers: readonly Layer[]): readonly ReadyLayer[] {
  const [ready, setReady] = useState<readonly ReadyLayer[]>(NONE);
  const key = JSON.stringify(layers);
  useEffect(() => {
    let current = true;
    const wanted = JSON.parse(key) as Layer[];
    void Promise.all(wanted.map(readyLayer)).then((all) => { if (current) setReady(all.length === 0 ? NONE : all.filter((one) => one !== null)); });
    return () => { current = false; };
  }, [key]);
  return ready;
}

async function readyLayer(layer: Layer): Promise<ReadyLayer | null> {
  if (layer.kind === 'text') {
    const outline = await outlineOf(layer).catch(() => null);
    return outline && { layer, drawn: { kind: 'text', path: outline.path, colour: layer.colour } };
  }
  const stored = await database().pictures.get(layer.pictureId);
  return stored ? { layer, drawn: { kind: 'picture', file: stored.file, crop: layer.crop, box: layer.box } } : null;
}

/** What of the layers is printed: those that are moved with the print. */
export const movedLayers = (layers: readonly ReadyLayer[]): DrawnLayer[] => layers.filter(({ layer }) => layer.mode === 'transfer').map(({ drawn }) => drawn);
