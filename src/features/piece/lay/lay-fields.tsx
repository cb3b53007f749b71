'use client';
import { nominalFilmUm, type CoatedFace } from '@/core/craft';
import { ChoiceField, Fields, FilmField, LengthField, Part, VolumeField, useUnits } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useLay } from './use-lay';

type FaceChoice = 'paper' | 'surface' | 'both';
const FACES: { id: FaceChoice; name: string }[] = [
  { id: 'paper', name: say`Paper` },
  { id: 'surface', name: say`Surface` },
  { id: 'both', name: say`Both` },
];
const faceChoice = (faces: readonly CoatedFace[]): FaceChoice => (faces.length === 2 ? 'both' : faces[0]!);
const facesOf = (choice: FaceChoice): CoatedFace[] => (choice === 'both' ? ['paper', 'surface'] : [choice]);

/** Which faces are coated, how far and how thick; and what was really used. */
export function LayFields() {
  const { piece, change } = useOpenPiece();
  const { lay } = piece;
  const { planned, binder, dry } = useLay();
  if (!planned || !binder || dry) return null;
  const isOwn = lay.faces !== null || lay.filmUm !== null || lay.mediumUsedMl !== null;
  return (
    <Part title={say`Change the coat`} folded={isOwn ? say`your own` : say`as worked out`}>
      <Fields>
        {binder.coatsPaper && (
          <ChoiceField
            label={say`Coat`}
            value={faceChoice(lay.faces ?? binder.faces)}
            options={FACES}
            onCommit={(choice) => change('lay', { faces: facesOf(choice) }, say`coated faces`)}
          />
        )}
        {planned.coat.canGoPast && (
          <LengthField
            small
            label={say`Coat goes past the print by`}
            value={lay.extendMm}
            maxMm={100}
            onCommit={(value) => value !== null && change('lay', { extendMm: value }, say`coat past the print`)}
          />
        )}
        <Film usualUm={nominalFilmUm(binder)} />
        <VolumeField
          label={say`Really used`}
          value={lay.mediumUsedMl}
          clearable
          onCommit={(mediumUsedMl) => change('lay', { mediumUsedMl }, say`medium used`)}
          hint={say`Fobbet learns from it`}
        />
      </Fields>
    </Part>
  );
}

function Film({ usualUm }: { usualUm: number }) {
  const { piece, change } = useOpenPiece();
  const usual = useUnits().film(usualUm);
  const { filmUm } = piece.lay;
  return (
    <FilmField
      label={say`Wet film, each face`}
      value={filmUm}
      min={20}
      max={2000}
      computed={usual}
      onCommit={(value) => change('lay', { filmUm: value }, say`wet film`)}
      hint={filmUm !== null ? say`Fobbet says ${usual}; clear to go back` : say`from the label, if it says so`}
      testId="film"
    />
  );
}
