import { shortened } from '@/core/shared';
import { namesOf, valuesOf, withVoided, type Fields, type Nature } from './field';
import { HEAD, newPiece, sectionsOf, type Piece, type SectionId, type Values } from './piece';

/** What is new about a piece that is made like another. */
interface Another {
  id: string;
  name: string;
  now: number;
  /** Its own picture is chosen later: lettering and proportions stay. */
  withoutPicture: boolean;
}

/** Another piece with all that was chosen for one, and nothing done to it yet. What belongs to the one thing is left out. */
export function pieceLike(piece: Piece, { id, name, now, withoutPicture }: Another): Piece {
  const fresh = newPiece(id, name, now);
  const { pictureId, ratio, layers } = piece.picture;
  const like = withChoicesOf(piece, withoutPicture ? fresh : { ...fresh, picture: { ...fresh.picture, pictureId } });
  if (!withoutPicture) return like;
  const lettering = layers.filter(({ kind }) => kind === 'text');
  return { ...like, picture: { ...fresh.picture, ratio, layers: lettering } };
}

/** The lettering that each of a set has for itself: its first. */
export const ownLetteringOf = ({ picture }: Pick<Piece, 'picture'>): string | null =>
  picture.layers.find((layer) => layer.kind === 'text')?.text ?? null;

export const withOwnLettering = (piece: Piece, text: string | null): Piece => {
  const at = piece.picture.layers.findIndex(({ kind }) => kind === 'text');
  if (!text || at < 0) return piece;
  const layers = piece.picture.layers.map((layer, index) =>
    index === at && layer.kind === 'text' ? { ...layer, text } : layer,
  );
  return { ...piece, picture: { ...piece.picture, layers } };
};

/**
 * A piece with all that was chosen for another. Its own stay: the name, its picture with the crop of it, its first
 * lettering, the board it is made on, whatever was done, seen and noted; and how what is done already was done: the
 * sheet it was printed from, the method it was laid by, the passes and coats it has.
 */
export function withChoicesOf(pattern: Piece, piece: Piece): Piece {
  const isSamePicture = piece.picture.pictureId === pattern.picture.pictureId;
  const isTaken = ({ nature, samePictureOnly }: { nature: Nature; samePictureOnly?: boolean }): boolean =>
    nature === 'chosen' && (isSamePicture || !samePictureOnly);
  const follows = <S extends object>(fields: Fields<S>, theirs: S, mine: S): S =>
    valuesOf(fields, (name, field) => (isTaken(field) ? theirs[name] : mine[name]));
  const sections = sectionsOf((id, fields) => {
    if (IS_SETTLED[id](piece)) return piece[id];
    const [theirs, mine]: Values[] = [{ ...pattern[id] }, { ...piece[id] }];
    // What is taken along is said, and is not voided by what else is.
    const taken = namesOf(fields).filter((name) => isTaken(fields[name]!));
    return withVoided(fields, mine!, follows(fields, theirs!, mine!), taken);
  });
  return withOwnLettering({ ...follows(HEAD, pattern, piece), ...sections }, ownLetteringOf(piece));
}

const laid = ({ lay }: Piece) => lay.laidAt !== null;
const printed = (own: Piece) => laid(own) || own.sheet.printedAt !== null;
const never = () => false;

/** What is done by it stays as it was done, whatever is chosen for others since. */
const IS_SETTLED: Readonly<Record<SectionId, (own: Piece) => boolean>> = {
  ...{ picture: printed, sheet: printed },
  ...{ surface: laid, method: laid, lay: laid, cure: laid },
  rub: ({ rub }) => rub.finishedAt !== null,
  mend: ({ mend }) => mend.finishedAt !== null,
  seal: ({ seal }) => seal.finishedAt !== null || seal.coatsAt.length > 0,
  ...{ work: never, faults: never, keep: never },
};

/** “Crest bucket 2”, then 3: the first that no other piece has. */
export function nameLike(name: string, taken: readonly string[]): string {
  const bare = name.replace(/\s+\d+$/, '');
  const known = new Set(taken);
  for (let number = 2; ; number++) {
    const next = numberedName(bare, number);
    if (!known.has(next)) return next;
  }
}
/** The name with a number behind it, shortened where it would be too long. */
export function numberedName(name: string, number: number): string {
  const tail = ` ${number}`;
  return `${shortened(name, MOST_NAME - tail.length)}${tail}`;
}
const MOST_NAME = 120;
