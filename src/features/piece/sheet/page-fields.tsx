'use client';
import { PAPER_IDS, paperOf, type Orientation } from '@/core/sheet';
import type { MarginsMm } from '@/core/shape';
import { ChoiceField, Fields, FigureField, LengthField, Part, SelectField } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

const NO_SIZE = { widthMm: 0, heightMm: 0 };
const PAPER_OPTIONS = PAPER_IDS.map((id) => ({
  id,
  name: id === 'custom' ? say`Own size` : paperOf(id, NO_SIZE).name,
}));
const ORIENTATIONS: { id: Orientation; name: string }[] = [
  { id: 'auto', name: say`Auto` },
  { id: 'portrait', name: say`Portrait` },
  { id: 'landscape', name: say`Landscape` },
];
const SIDES: { key: keyof MarginsMm; name: string }[] = [
  { key: 'topMm', name: say`Margin above` },
  { key: 'bottomMm', name: say`Margin below` },
  { key: 'leftMm', name: say`Margin left` },
  { key: 'rightMm', name: say`Margin right` },
];

/** Margins, paper, way round, copies. @param tiled over several pages */
export function PageFields({ tiled }: { tiled: boolean }) {
  const { piece, change } = useOpenPiece();
  const { sheet } = piece;
  return (
    <Part title={say`Change`}>
      <Fields>
        {SIDES.map(({ key, name }) => (
          <LengthField
            key={key}
            small
            label={name}
            value={sheet.margins[key]}
            onCommit={(value) =>
              value !== null && change('sheet', { margins: { ...sheet.margins, [key]: value } }, name.toLowerCase())
            }
            testId={`margin-${key}`}
          />
        ))}
        <SelectField
          label={say`Paper`}
          value={sheet.paper}
          options={PAPER_OPTIONS}
          onCommit={(paper) => change('sheet', { paper }, say`paper`)}
          testId="paper"
        />
        <ChoiceField
          label={say`Way round`}
          value={sheet.orientation}
          options={ORIENTATIONS}
          onCommit={(orientation) => change('sheet', { orientation }, say`way round`)}
        />
        {sheet.paper === 'custom' && <OwnPaper />}
        <FigureField
          label={say`Prints of it, spares included`}
          value={sheet.copies}
          whole
          min={1}
          max={60}
          onCommit={(copies) => change('sheet', { copies: copies ?? 1 }, say`number of prints`)}
          testId="copies"
        />
        {tiled && (
          <LengthField
            small
            label={say`Pages overlap by`}
            value={sheet.overlapMm}
            maxMm={60}
            onCommit={(overlapMm) => overlapMm !== null && change('sheet', { overlapMm }, say`overlap`)}
            testId="overlap"
          />
        )}
      </Fields>
    </Part>
  );
}

function OwnPaper() {
  const { piece, change } = useOpenPiece();
  const { custom } = piece.sheet;
  return (
    <>
      <LengthField
        label={say`Width of the paper`}
        value={custom.widthMm}
        minMm={50}
        maxMm={1200}
        onCommit={(widthMm) =>
          widthMm !== null && change('sheet', { custom: { ...custom, widthMm } }, say`width of the paper`)
        }
        testId="paper-width"
      />
      <LengthField
        label={say`Height of the paper`}
        value={custom.heightMm}
        minMm={50}
        maxMm={1200}
        onCommit={(heightMm) =>
          heightMm !== null && change('sheet', { custom: { ...custom, heightMm } }, say`height of the paper`)
        }
        testId="paper-height"
      />
    </>
  );
}
