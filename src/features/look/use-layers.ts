'use client';
import { useEffect, useState } from 'react';
import { bentPath, type Layer } from '@/core/picture';
import { curlPoint, type Bend } from '@/core/shape';
import { database, storedPicture } from '@/storage';
import type { DrawnLayer } from '@/workers/layers';
import { outlineOf } from './fonts';

export interface ReadyLayer {
  layer: Layer;
  drawn: DrawnLayer;
}

const NONE: readonly ReadyLayer[] = [];

/**
 * The layers of a piece as they can be drawn: lettering as outlines, pictures with their files. Those not ready yet are
 * left out.
 */
export function useLayers(layers: readonly Layer[]): readonly ReadyLayer[] {
  const [ready, setReady] = useState<readonly ReadyLayer[]>(NONE);
  const key = JSON.stringify(layers);
  useEffect(() => {
    let current = true;
    const wanted = JSON.parse(key) as Layer[];
    void readyLayers(wanted).then((all) => {
      if (current) setReady(all.length === 0 ? NONE : all);
    });
    return () => {
      current = false;
    };
  }, [key]);
  return ready;
}

/** Layers as they can be drawn, those that are not there left out. */
export const readyLayers = async (layers: readonly Layer[]): Promise<readonly ReadyLayer[]> =>
  (await Promise.all(layers.map(readyLayer))).filter((layer) => layer !== null);

async function readyLayer(layer: Layer): Promise<ReadyLayer | null> {
  if (layer.kind === 'text') {
    const outline = await outlineOf(layer).catch(() => null);
    return outline && { layer, drawn: { kind: 'text', path: outline.path, colour: layer.colour } };
  }
  const stored = await storedPicture(database(), layer.pictureId);
  return stored
    ? { layer, drawn: { kind: 'picture', file: stored.file, crop: layer.crop, box: layer.box, bend: null } }
    : null;
}

/** Layers on a vessel land level: each is bent about its own middle. */
export const bentLayers = (layers: readonly ReadyLayer[], bend: Bend | null): readonly ReadyLayer[] =>
  bend === null
    ? layers
    : layers.map(({ layer, drawn }) => ({
        layer,
        drawn:
          drawn.kind === 'text'
            ? { ...drawn, path: bentPath(drawn.path, (xMm, yMm) => curlPoint(bend, layer.box, { xMm, yMm }).point) }
            : { ...drawn, bend },
      }));

/** What of the layers is printed: those that are moved with the print. */
export const movedLayers = (layers: readonly ReadyLayer[]): DrawnLayer[] =>
  layers.filter(({ layer }) => layer.mode === 'transfer').map(({ drawn }) => drawn);
