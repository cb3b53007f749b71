import { shortened } from '@/core/shared';
import { stillPrepared } from '@/core/stations';
import { newPiece, type Piece } from './piece';

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
  const like = withPlanOf(piece, {
    ...fresh,
    picture: withoutPicture ? fresh.picture : piece.picture,
    sheet: { ...fresh.sheet, motif: withoutPicture ? null : piece.sheet.motif },
  });
  if (!withoutPicture) return like;
  const lettering = piece.picture.layers.filter(({ kind }) => kind === 'text');
  return { ...like, picture: { ...fresh.picture, ratio: piece.picture.ratio, layers: lettering } };
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
export function withPlanOf(piece: Piece, own: Piece): Piece {
  const isLaid = own.lay.laidAt !== null;
  const isPrinted = isLaid || own.sheet.printedAt !== null;
  const planned: Piece = {
    ...own,
    dueOn: piece.dueOn,
    ...(isPrinted ? {} : sheetOf(piece, own)),
    ...(isLaid ? {} : layingOf(piece, own)),
    rub: own.rub.finishedAt === null ? { ...own.rub, passes: piece.rub.passes } : own.rub,
    mend:
      own.mend.finishedAt === null ? { ...piece.mend, done: own.mend.done, finishedAt: own.mend.finishedAt } : own.mend,
    seal:
      own.seal.finishedAt === null && own.seal.coatsAt.length === 0
        ? { ...piece.seal, coatsAt: own.seal.coatsAt, finishedAt: own.seal.finishedAt }
        : own.seal,
    keep: { ...own.keep, prices: piece.keep.prices, careText: piece.keep.careText },
  };
  return withOwnLettering(planned, ownLetteringOf(own));
}

/** What is printed, and how. */
function sheetOf({ picture, sheet }: Piece, own: Piece): Pick<Piece, 'picture' | 'sheet'> {
  const isSamePicture = own.picture.pictureId === picture.pictureId;
  const { pictureId, crop, lettering, turns, straightenDeg, keepClear } = isSamePicture ? picture : own.picture;
  const { printedAt, barMeasuredMm, proof, order } = own.sheet;
  return {
    picture: { ...picture, pictureId, crop, lettering, turns, straightenDeg, keepClear },
    sheet: { ...sheet, printedAt, barMeasuredMm, proof, order, motif: isSamePicture ? sheet.motif : own.sheet.motif },
  };
}

/** What it is laid on, by what method, with what, and how it dries. */
const layingOf = (
  { surface, method, lay, cure }: Piece,
  own: Piece,
): Pick<Piece, 'surface' | 'method' | 'lay' | 'cure'> => ({
  // The photographed face and the knots are of that one board.
  surface: {
    ...surface,
    prepared: stillPrepared(own.surface, { ...surface, prepared: own.surface.prepared }),
    face: own.surface.face,
  },
  method,
  lay: { ...lay, laidAt: own.lay.laidAt, mediumUsedMl: own.lay.mediumUsedMl },
  cure: { ...cure, signs: own.cure.signs },
});

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
