'use client';
import Link from 'next/link';
import { missingAt, type MissingCode, type StationId } from '@/core/plan';
import { Part } from '@/ui';
import { useOpenPiece } from './piece-context';
import { STATION_NAMES } from './station-names';

const WORDS: Readonly<Record<MissingCode, string>> = {
  picture: 'a picture',
  lettering: 'an answer: has it lettering?',
  'surface-kind': 'the kind of surface',
  'blank-size': 'the blank’s width and height',
  'shape-fault': 'a shape that can be made: this one can’t',
  'margins-too-wide': 'margins that leave room for the print',
  method: 'a method',
  'method-refused': 'a method that can work: the chosen one is refused',
  'print-fits-no-page': 'a print that these pages can hold',
  'not-laid': 'the moment the print was laid',
  'not-rubbed': 'a first pass of rubbing',
  sealer: 'a sealer that suits this use and sheen',
  rating: 'your rating',
};

/** What this station can't do without, each with the way to where it is said. */
export function MissingList({ station }: { station: StationId }) {
  const { piece, plan } = useOpenPiece();
  const missing = missingAt(station, piece, plan);
  if (missing.length === 0) return null;
  return (
    <Part title="Still needed">
      <ul style={{ margin: 0, paddingLeft: 18, lineHeight: 1.6 }} data-testid="missing">
        {missing.map(({ code, at }) => (
          <li key={code}>{WORDS[code]}{at !== station && <> – <Link href={`/piece/${piece.id}/${at}`}>{STATION_NAMES[at]}</Link></>}</li>
        ))}
      </ul>
    </Part>
  );
}
