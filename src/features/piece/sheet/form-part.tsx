'use client';
import { Button, LinearProgress } from '@mui/material';
import { motifKey } from '@/core/stations';
import type { EdgeWay, PartsWay, PrintForm, SidesWay } from '@/core/sheet';
import { useSheetJob } from '@/features/sheets';
import { ChoiceField, Fields, LengthField, NextRow, Note, Part, Wide, useUnits } from '@/ui';
import { findMotif } from '@/workers/analysis/client';
import { useOpenPiece } from '../piece-context';
import { ColourField } from '../surface/colour-field';
import { bendFor } from '@/core/shape';
import { say } from '@/words/say';

const PARTS: Readonly<Record<PartsWay, string>> = {
  skip: say`True, gaps skipped`,
  spread: say`Spread over them`,
  each: say`The whole on each`,
};
const SIDES: Readonly<Record<SidesWay, string>> = {
  picture: say`Picture runs round`,
  mirror: say`Edge mirrored`,
  solid: say`One colour`,
};
const EDGES: Readonly<Record<EdgeWay, string>> = { cut: say`Cut`, torn: say`Torn`, motif: say`Close round the motif` };
const options = <K extends string>(names: Readonly<Record<K, string>>) =>
  (Object.keys(names) as K[]).map((id) => ({ id, name: names[id] }));

const PARTS_WORDS: Readonly<Record<PartsWay, string>> = {
  skip: say`The picture lies as if there were no gaps: what falls into one is trimmed away.`,
  spread: say`Nothing is lost: the picture is parted at the gaps, which pushes its halves apart.`,
  each: say`Every part carries the whole picture, smaller.`,
};

/** How the print is formed: over gaps, round sides, at its seam and at its edge. */
export function FormPart() {
  const units = useUnits();
  const { piece, plan } = useOpenPiece();
  const { form, set } = useForm();
  const { blank } = plan.surface;
  const layout = blank?.layout;
  const bend = bendFor(blank);
  const round = (layout?.kind === 'plain' || layout?.kind === 'bent') && layout.round;
  return (
    <Part
      title={say`How it lies`}
      folded={layout?.kind === 'plain' ? say`edge: ${EDGES[form.edge].toLowerCase()}` : null}
    >
      <Fields>
        {layout?.kind === 'parts' && (
          <Wide>
            <ChoiceField
              label={
                piece.surface.shape.kind === 'slats'
                  ? say`The picture over the slats`
                  : say`The picture over the fronts`
              }
              value={form.parts}
              options={options(PARTS)}
              onCommit={(parts) => set({ parts }, say`picture over the gaps`)}
            />
            <Note>{PARTS_WORDS[form.parts]}</Note>
          </Wide>
        )}
        {layout?.kind === 'sides' && <SideFields />}
        {round && (
          <LengthField
            small
            label={say`Laps over itself by`}
            value={form.seamMm}
            maxMm={40}
            onCommit={(seamMm) => seamMm !== null && set({ seamMm }, say`lap of the seam`)}
            testId="seam"
          />
        )}
        <EdgeFields />
      </Fields>
      {bend && (
        <Note>{say`Bent to the vessel’s side: ${Math.round((bend.angleRad * 180) / Math.PI)}° of a ring of
          ${units.length(bend.outerRadiusMm)}. Level lines of the picture land level, upright ones straight down
          the side.`}</Note>
      )}
    </Part>
  );
}

/** The open piece's form of print, and how it is changed. */
function useForm() {
  const { piece, change } = useOpenPiece();
  const { form } = piece.sheet;
  return {
    form,
    set: (patch: Partial<PrintForm>, label: string) => change('sheet', { form: { ...form, ...patch } }, label),
  };
}

function SideFields() {
  const { form, set } = useForm();
  return (
    <>
      <Wide>
        <ChoiceField
          label={say`Sides`}
          value={form.sides}
          options={options(SIDES)}
          onCommit={(sides) => set({ sides }, say`what the sides show`)}
        />
      </Wide>
      {form.sides === 'solid' && (
        <ColourField
          label={say`Colour of the sides`}
          value={form.sideColour}
          onCommit={(sideColour) => set({ sideColour }, say`colour of the sides`)}
        />
      )}
      <ChoiceField
        label={say`Corners`}
        value={form.corners}
        options={[
          { id: 'cut', name: say`Cut out` },
          { id: 'fold', name: say`Folded` },
        ]}
        onCommit={(corners) => set({ corners }, say`way of the corners`)}
      />
    </>
  );
}

function EdgeFields() {
  const { form, set } = useForm();
  return (
    <>
      <Wide>
        <ChoiceField
          label={say`Edge`}
          value={form.edge}
          options={options(EDGES)}
          onCommit={(edge) => set({ edge }, say`edge of the print`)}
        />
      </Wide>
      <LengthField
        small
        label={say`Cut inside by`}
        value={form.trimMm}
        maxMm={60}
        onCommit={(trimMm) => trimMm !== null && set({ trimMm }, say`cut inside`)}
        hint={say`no white rim is left`}
        testId="trim"
      />
      {form.edge === 'torn' && (
        <LengthField
          small
          label={say`Torn as deep as`}
          value={form.tornMm}
          maxMm={60}
          onCommit={(tornMm) => tornMm !== null && set({ tornMm }, say`depth of the tear`)}
          testId="torn"
        />
      )}
      {form.edge === 'motif' && (
        <>
          <LengthField
            small
            label={say`Stays off the motif by`}
            value={form.motifMm}
            maxMm={60}
            onCommit={(motifMm) => motifMm !== null && set({ motifMm }, say`distance to the motif`)}
            testId="motif-distance"
          />
          <Wide>
            <MotifRow />
          </Wide>
        </>
      )}
    </>
  );
}

/** Looks for the motif in the full picture; what was found is kept until the picture changes. */
function MotifRow() {
  const { piece, picture, change } = useOpenPiece();
  const job = useSheetJob();
  const key = motifKey(piece.picture);
  const known = piece.sheet.motif?.of === key ? piece.sheet.motif : null;
  const { turns, straightenDeg } = piece.picture;
  const find = () =>
    picture &&
    job.run(
      () => findMotif({ pictureId: picture.id, file: picture.file, turning: { turns, straightenDeg } }),
      (rings) => change('sheet', { motif: { of: key, rings } }, say`outline of the motif`),
    );
  if (job.progress !== null) return <LinearProgress aria-label={say`Looking for the motif`} />;
  return (
    <NextRow>
      <Button
        size="small"
        variant={known ? 'text' : 'contained'}
        onClick={find}
        disabled={!picture}
        data-testid="find-motif"
      >
        {known ? say`Look again` : say`Find the motif’s outline`}
      </Button>
      <Note>
        {known
          ? known.rings.length === 1
            ? say`One outline found.`
            : say`${known.rings.length} outlines found.`
          : say`For a motif on white.`}
      </Note>
    </NextRow>
  );
}
