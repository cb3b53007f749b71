'use client';
import { BASE_COATS, FINISHES, SURFACES, baseCoatById, finishById, type SurfaceId } from '@/core/craft';
import { asksBakeSafe } from '@/core/cure';
import { SHAPE_KINDS, shapeKind } from '@/core/shape';
import { PAINT_AGES, asksPaintAge } from '@/core/stations';
import { ChoiceField, Fields, LengthField, NextRow, Note, Part, SelectField, TextButton, Wide, useUnits } from '@/ui';
import { BASE_COAT_WORDS, FINISH_WORDS, PAINT_AGE_NAMES, SHAPE_WORDS, SIZE_NAMES, SURFACE_WORDS } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { ByPictures } from './by-pictures';
import { ColourField } from './colour-field';
import { ShapeFields, useShapeChoice } from './shape-fields';

/** What the blank is made of, its shape and measures, and what is on it. */
export function SurfaceFields() {
  const { piece, plan, change } = useOpenPiece();
  const { kind, shape } = piece.surface;
  const { blank } = plan.surface;
  const { system } = useUnits();
  const chooseShape = useShapeChoice();
  const choose = (chosen: SurfaceId) => change('surface', { kind: chosen }, say`surface`);
  return (
    <Part title={say`Change`}>
      <Fields>
        <Wide>
          <SelectField
            label={say`Kind of surface`}
            value={kind}
            empty={say`Choose what it is made of`}
            options={SURFACES.map(({ id }) => ({ id, name: SURFACE_WORDS[id].name }))}
            onCommit={choose}
            testId="surface-kind"
          />
        </Wide>
        <Wide>
          <SelectField
            label={say`Shape`}
            value={shape.kind}
            options={SHAPE_KINDS.map((id) => ({ id, name: SHAPE_WORDS[id].name }))}
            onCommit={chooseShape}
            testId="shape"
          />
        </Wide>
        <Wide>
          <ByPictures kind={kind} shape={shape.kind} onKind={choose} onShape={chooseShape} />
        </Wide>
        <Measures />
        <CoatFields />
        <Colours />
      </Fields>
      {!blank && (
        <Note apart>
          {system === 'inch'
            ? say`Type sizes as you read them: 11 3/4, 11.75", or 1' 2".`
            : say`Type sizes as you read them: 30, 30cm, 300 mm, or 11 3/4 in.`}
        </Note>
      )}
    </Part>
  );
}

function Measures() {
  const { piece, change } = useOpenPiece();
  const { widthMm, heightMm, thicknessMm, shape } = piece.surface;
  const { sizes } = shapeKind(shape.kind);
  return (
    <>
      <LengthField
        label={SIZE_NAMES[sizes.width]}
        value={widthMm}
        minMm={10}
        onCommit={(mm) =>
          change('surface', { widthMm: mm, ...(sizes.height === null ? { heightMm: mm } : {}) }, say`width`)
        }
        testId="blank-width"
      />
      {sizes.height !== null && (
        <LengthField
          label={SIZE_NAMES[sizes.height]}
          value={heightMm}
          minMm={10}
          onCommit={(mm) => change('surface', { heightMm: mm }, say`height`)}
          testId="blank-height"
        />
      )}
      <ShapeFields />
      <LengthField
        label={say`Thickness`}
        small
        value={thicknessMm}
        clearable
        onCommit={(mm) => change('surface', { thicknessMm: mm }, say`thickness`)}
        testId="blank-thickness"
      />
    </>
  );
}

/** What is on it now, and what is put on it before the print. */
function CoatFields() {
  const { piece, plan, change } = useOpenPiece();
  const { finish, baseCoat, baseColour } = piece.surface;
  return (
    <>
      <SelectField
        label={say`Finish on it now`}
        value={finish}
        options={FINISHES.map(({ id }) => ({ id, name: FINISH_WORDS[id].name }))}
        onCommit={(id) => change('surface', { finish: id }, say`finish`)}
        testId="finish"
      />
      {plan.surface.record?.takesBaseCoat !== false && (
        <SelectField
          label={say`Base coat`}
          value={baseCoat}
          options={BASE_COATS.map(({ id }) => ({ id, name: BASE_COAT_WORDS[id].name }))}
          onCommit={(id) =>
            change('surface', { baseCoat: id, baseColour: baseCoatById(id).colour || baseColour }, say`base coat`)
          }
          testId="base-coat"
        />
      )}
    </>
  );
}

/** The colours of what shows where the picture is clear or worn; and how old a paint is that may hold lead. */
function Colours() {
  const { piece, plan, change } = useOpenPiece();
  const { surface } = piece;
  const { record } = plan.surface;
  const isPainted = finishById(surface.finish).paint;
  const isCoated = surface.baseCoat !== 'none';
  const isBareHidden = baseCoatById(surface.baseCoat).hidesGrain || isPainted;
  return (
    <>
      {record && !isBareHidden && (
        <ColourField
          label={say`Colour of the bare stuff`}
          value={surface.bareColour ?? record.bareColour}
          onCommit={(bareColour) => change('surface', { bareColour }, say`colour of the bare stuff`)}
        />
      )}
      {record && asksPaintAge(surface, record) && (
        <SelectField
          label={say`Who painted it, and when?`}
          value={surface.paintAge}
          empty={say`Say it once: old paint may hold lead`}
          options={PAINT_AGES.map((id) => ({ id, name: PAINT_AGE_NAMES[id] }))}
          onCommit={(paintAge) => change('surface', { paintAge }, say`age of the paint`)}
          testId="paint-age"
        />
      )}
      {record && asksBakeSafe({ ...surface, surface: record }) && (
        <ChoiceField
          label={say`Does its label say bake-safe?`}
          value={surface.bakeSafe ? 'yes' : 'no'}
          options={BAKE_SAFE}
          onCommit={(said) => change('surface', { bakeSafe: said === 'yes' }, say`bake-safe paint`)}
        />
      )}
      {(isCoated || isPainted) && (
        <ColourField
          label={isCoated ? say`Colour of the base coat` : say`Colour of the paint`}
          value={surface.baseColour}
          onCommit={(baseColour) => change('surface', { baseColour }, say`colour`)}
        />
      )}
      {isCoated && record?.takesBaseCoat && (
        <UnderColour
          colour={surface.underColour}
          onCommit={(underColour) => change('surface', { underColour }, say`colour under the base coat`)}
        />
      )}
    </>
  );
}

const BAKE_SAFE: { id: 'yes' | 'no'; name: string }[] = [
  { id: 'no', name: say`No` },
  { id: 'yes', name: say`Yes` },
];

const UNDER_COLOUR = '#8a4b32';

/** Another colour under the base coat, to come through where edges are sanded. */
function UnderColour({ colour, onCommit }: { colour: string | null; onCommit: (colour: string | null) => void }) {
  if (colour === null)
    return (
      <NextRow>
        <TextButton onClick={() => onCommit(UNDER_COLOUR)}>{say`A colour under it, to sand through`}</TextButton>
      </NextRow>
    );
  return (
    <div>
      <ColourField label={say`Colour under it`} value={colour} onCommit={onCommit} />
      <TextButton onClick={() => onCommit(null)}>{say`Without`}</TextButton>
    </div>
  );
}
