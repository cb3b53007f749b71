'use client';
import { Button } from '@mui/material';
import { Fields, FigureField, LengthField, NextRow, Note, Wide } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

/** How the stuff lies under the print. */
export function GrainFields({ proposedDeg }: { proposedDeg: number | null }) {
  const { record } = useOpenPiece().plan.surface;
  const { grain, set } = useGrain();
  const wood = record?.class === 'wood' || record?.oldFinish;
  return (
    <Fields>
      <FigureField
        label={say`Grain turned by`}
        value={grain.angleDeg}
        unit="°"
        min={-180}
        max={180}
        decimals={0}
        onCommit={(angleDeg) => set({ angleDeg: angleDeg ?? 0 }, say`turn of the grain`)}
        hint={say`0 runs across, 90 up and down`}
        testId="grain-angle"
      />
      <Proposed angleDeg={proposedDeg} />
      <LengthField
        small
        label={say`Shifted to the right`}
        value={grain.shiftXMm}
        maxMm={2000}
        onCommit={(shiftXMm) => shiftXMm !== null && set({ shiftXMm }, say`shift of the grain`)}
      />
      <LengthField
        small
        label={say`Shifted down`}
        value={grain.shiftYMm}
        maxMm={2000}
        onCommit={(shiftYMm) => shiftYMm !== null && set({ shiftYMm }, say`shift of the grain`)}
      />
      {wood && <WoodFields />}
      <Wide>
        <NextRow>
          <Button
            size="small"
            variant="text"
            onClick={() => set({ seed: (grain.seed + 1) % 10000 }, say`another board`)}
          >{say`Another board`}</Button>
        </NextRow>
      </Wide>
    </Fields>
  );
}

/** The grain of the open piece, and how it is changed. */
function useGrain() {
  const { piece, change } = useOpenPiece();
  const { grain } = piece.surface;
  return {
    grain,
    set: (patch: Partial<typeof grain>, label: string) => change('surface', { grain: { ...grain, ...patch } }, label),
  };
}

/** Near enough to the picture's own lines. */
const AS_PROPOSED_DEG = 5;

/** Turns the grain to the picture's lines, or says that it lies well. */
function Proposed({ angleDeg }: { angleDeg: number | null }) {
  const { grain, set } = useGrain();
  if (angleDeg === null) return <Note>{say`The picture’s lines run every way, so every direction will do.`}</Note>;
  if (Math.abs(angleDeg - grain.angleDeg) <= AS_PROPOSED_DEG)
    return <Note>{say`The grain follows the picture’s lines.`}</Note>;
  return (
    <div>
      <Button
        size="small"
        variant="outlined"
        onClick={() => set({ angleDeg }, say`grain along the picture`)}
        data-testid="grain-proposed"
      >{say`Turn it to the picture’s lines: ${angleDeg}°`}</Button>
    </div>
  );
}

function WoodFields() {
  const { grain, set } = useGrain();
  return (
    <>
      <LengthField
        small
        label={say`Rings apart`}
        value={grain.spacingMm}
        minMm={0.2}
        maxMm={60}
        clearable
        onCommit={(spacingMm) => set({ spacingMm }, say`distance of the rings`)}
        hint={say`empty: as usual`}
      />
      <FigureField
        label={say`Knots`}
        value={grain.knots}
        whole
        min={0}
        max={12}
        onCommit={(knots) => set({ knots: knots ?? 0 }, say`number of knots`)}
      />
    </>
  );
}
