'use client';
import { Handle } from '../drawings/handle';
import { Traced } from '../drawings/landing';
import { rectOf } from '../drawings/rect-of';
import { useLayerChanges } from './layers-panel';
import { say } from '@/words/say';

/** Grips of the layers on the piece, and the outline of what is traced. */
export function LayerHandles({ pxPerMm }: { pxPerMm: number }) {
  const { layers, keep } = useLayerChanges();
  return (
    <g>
      <g opacity={0.75}>
        <Traced />
      </g>
      {layers.map((layer) => (
        <g key={layer.id}>
          <rect
            {...rectOf(layer.box)}
            fill="none"
            stroke="#5B2D5E"
            strokeDasharray={layer.mode === 'trace' ? '2 4' : '6 4'}
            vectorEffect="non-scaling-stroke"
          />
          {layer.kind === 'text' ? (
            <Handle
              at={layer}
              label={say`Move “${layer.text}”`}
              pxPerMm={pxPerMm}
              onDrop={({ xMm, yMm }) => void keep({ ...layer, xMm, yMm }, say`place of the letters`)}
              testId="lettering-handle"
            />
          ) : (
            <Handle
              at={layer.box}
              label={say`Move the picture`}
              pxPerMm={pxPerMm}
              onDrop={({ xMm, yMm }) =>
                void keep({ ...layer, box: { ...layer.box, xMm, yMm } }, say`place of the picture`)
              }
            />
          )}
        </g>
      ))}
    </g>
  );
}
