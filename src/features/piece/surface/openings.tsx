'use client';
import { Button, IconButton } from '@mui/material';
import { Trash2 } from 'lucide-react';
import { MAX_PRINT_MM } from '@/core/sheet';
import type { Opening } from '@/core/shape';
import { LengthField, NextRow } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './surface.module.css';
import { useShape, type Of } from './use-shape';

const OPENING_WORDS = {
  knob: { name: say`Knob`, added: say`knob added`, remove: (number: number) => say`Remove knob ${number}` },
  hole: { name: say`Hole`, added: say`hole added`, remove: (number: number) => say`Remove hole ${number}` },
} as const;
/** Of a blank that is not measured yet. */
const USUAL_MM = 200;

/** Holes and knobs of a panel, each with its place. */
export function Openings({ shape }: { shape: Of<'panel'> }) {
  const { blank } = useOpenPiece().plan.surface;
  const set = useShape(shape);
  const { openings } = shape;
  const onChange = (next: Opening[], label: string) => set({ openings: next }, label);
  const put = (index: number, patch: Partial<Opening>, label: string) =>
    onChange(
      openings.map((opening, i) => (i === index ? { ...opening, ...patch } : opening)),
      label,
    );
  const add = (kind: Opening['kind']) =>
    onChange(
      [
        ...openings,
        { kind, xMm: (blank?.widthMm ?? USUAL_MM) / 2, yMm: (blank?.heightMm ?? USUAL_MM) / 2, diameterMm: 30 },
      ],
      OPENING_WORDS[kind].added,
    );
  return (
    <div>
      {openings.map((opening, index) => (
        <OpeningRow
          key={index}
          opening={opening}
          number={index + 1}
          onPut={(patch, label) => put(index, patch, label)}
          onRemove={() =>
            onChange(
              openings.filter((_, i) => i !== index),
              say`opening removed`,
            )
          }
        />
      ))}
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={() => add('hole')}
          data-testid="add-hole"
        >{say`Add a hole`}</Button>
        <Button size="small" variant="outlined" onClick={() => add('knob')}>{say`Add a knob`}</Button>
      </NextRow>
    </div>
  );
}

function OpeningRow({
  opening,
  number,
  onPut,
  onRemove,
}: {
  opening: Opening;
  /** Its place in the list, from 1. */
  number: number;
  onPut: (patch: Partial<Opening>, label: string) => void;
  onRemove: () => void;
}) {
  const { name, remove } = OPENING_WORDS[opening.kind];
  return (
    <div className={css.opening}>
      <b>
        {name} {number}
      </b>
      <LengthField
        small
        label={say`Across`}
        value={opening.diameterMm}
        minMm={1}
        onCommit={(diameterMm) => diameterMm !== null && onPut({ diameterMm }, say`size of the opening`)}
      />
      <LengthField
        small
        label={say`From the left`}
        value={opening.xMm}
        maxMm={MAX_PRINT_MM}
        onCommit={(xMm) => xMm !== null && onPut({ xMm }, say`place of the opening`)}
        testId={`opening-x-${number - 1}`}
      />
      <LengthField
        small
        label={say`From the top`}
        value={opening.yMm}
        maxMm={MAX_PRINT_MM}
        onCommit={(yMm) => yMm !== null && onPut({ yMm }, say`place of the opening`)}
      />
      <IconButton size="small" aria-label={remove(number)} onClick={onRemove}>
        <Trash2 size={16} />
      </IconButton>
    </div>
  );
}
