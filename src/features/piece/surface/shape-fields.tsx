'use client';
import type { ReactElement } from 'react';
import { shapeKind, type MarginsMm, type ShapeKind } from '@/core/shape';
import { ChoiceField, FigureField, LengthField, Wide } from '@/ui';
import { SHAPE_WORDS } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { Openings } from './openings';
import { Outline } from './outline';
import { useShape, type Of } from './use-shape';

const NO_MARGINS: MarginsMm = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };
/** Takes another shape in its first form. */
export function useShapeChoice(): (kind: ShapeKind) => void {
  const { piece, changeAll } = useOpenPiece();
  const { widthMm } = piece.surface;
  return (kind) =>
    void changeAll(
      {
        surface: { shape: shapeKind(kind).defaults(widthMm ?? 200) },
        // A wrapped print runs round to the back, a slatted one over every edge.
        ...(shapeKind(kind).coversEdges ? { sheet: { margins: NO_MARGINS } } : {}),
      },
      say`shape: ${SHAPE_WORDS[kind].inText}`,
    );
}

/** What a shape asks for besides width and height. */
export function ShapeFields(): ReactElement | null {
  const { shape } = useOpenPiece().piece.surface;
  switch (shape.kind) {
    case 'wrapped-canvas':
      return <WrapFields shape={shape} />;
    case 'slats':
      return <SlatFields shape={shape} />;
    case 'drawer-row':
      return <DrawerFields shape={shape} />;
    case 'cylinder':
      return <RoundField shape={shape} />;
    case 'vessel':
      return <VesselFields shape={shape} />;
    case 'panel':
      return (
        <Wide>
          <Openings shape={shape} />
        </Wide>
      );
    case 'polygon':
      return (
        <Wide>
          <Outline shape={shape} />
        </Wide>
      );
    case 'rectangle':
    case 'round':
    case 'oval':
      return null;
  }
}

function WrapFields({ shape }: { shape: Of<'wrapped-canvas'> }) {
  const set = useShape(shape);
  return (
    <>
      <LengthField
        small
        label={say`Depth of the sides`}
        value={shape.depthMm}
        maxMm={200}
        onCommit={(depthMm) => depthMm !== null && set({ depthMm }, say`depth of the sides`)}
        testId="wrap-depth"
      />
      <LengthField
        small
        label={say`Tuck on the back`}
        value={shape.tuckMm}
        maxMm={200}
        onCommit={(tuckMm) => tuckMm !== null && set({ tuckMm }, say`tuck on the back`)}
        testId="wrap-tuck"
      />
    </>
  );
}

function SlatFields({ shape }: { shape: Of<'slats'> }) {
  const set = useShape(shape);
  return (
    <>
      <FigureField
        label={say`Slats`}
        value={shape.count}
        whole
        min={1}
        max={60}
        onCommit={(count) => count !== null && set({ count }, say`number of slats`)}
        testId="slat-count"
      />
      <GapField shape={shape} />
      <ChoiceField
        label={say`Slats run`}
        value={shape.run}
        options={[
          { id: 'vertical', name: say`Upright` },
          { id: 'horizontal', name: say`Across` },
        ]}
        onCommit={(run) => set({ run }, say`run of the slats`)}
      />
    </>
  );
}

function GapField({ shape }: { shape: Of<'slats'> | Of<'drawer-row'> }) {
  const set = useShape(shape);
  return (
    <LengthField
      small
      label={say`Gap between them`}
      value={shape.gapMm}
      maxMm={500}
      onCommit={(gapMm) => gapMm !== null && set({ gapMm }, say`gap between them`)}
      testId="slat-gap"
    />
  );
}

function DrawerFields({ shape }: { shape: Of<'drawer-row'> }) {
  const set = useShape(shape);
  return (
    <>
      <FigureField
        label={say`Fronts`}
        value={shape.count}
        whole
        min={1}
        max={20}
        onCommit={(count) => count !== null && set({ count }, say`number of fronts`)}
        testId="front-count"
      />
      <GapField shape={shape} />
      <ChoiceField
        label={say`Knobs on each`}
        value={String(shape.knobs) as '0' | '1' | '2'}
        options={[
          { id: '0', name: say`None` },
          { id: '1', name: say`One` },
          { id: '2', name: say`Two` },
        ]}
        onCommit={(knobs) => set({ knobs: Number(knobs) as 0 | 1 | 2 }, say`knobs on each`)}
      />
      {shape.knobs > 0 && (
        <LengthField
          small
          label={say`Knob’s foot`}
          value={shape.knobMm}
          minMm={1}
          maxMm={300}
          onCommit={(knobMm) => knobMm !== null && set({ knobMm }, say`size of the knob`)}
        />
      )}
    </>
  );
}

function RoundField({ shape }: { shape: Of<'cylinder'> | Of<'vessel'> }) {
  const set = useShape(shape);
  return (
    <FigureField
      label={say`Share of the way round`}
      value={Math.round(shape.shareOfRound * 1000) / 10}
      unit="%"
      min={1}
      max={100}
      decimals={1}
      onCommit={(percent) => percent !== null && set({ shareOfRound: percent / 100 }, say`share of the way round`)}
      testId="share-of-round"
    />
  );
}

function VesselFields({ shape }: { shape: Of<'vessel'> }) {
  const set = useShape(shape);
  return (
    <>
      <LengthField
        label={say`Diameter at the bottom`}
        value={shape.bottomMm}
        minMm={5}
        onCommit={(bottomMm) => bottomMm !== null && set({ bottomMm }, say`diameter at the bottom`)}
        testId="vessel-bottom"
      />
      <RoundField shape={shape} />
    </>
  );
}
