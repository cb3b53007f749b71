/** A picture over parts with gaps: spread over them with the gaps closed, or whole on each. */
import { intersection, unionRect, type Blank, type RectMm, type SizeMm } from '@/core/shape';
import { boxOf, moved, type FormInput, type RawBlock } from './print-form';

/** The parts moved together, gaps closed. */
export function closedParts(blank: Blank, along: 'x' | 'y'): { size: SizeMm; places: RectMm[] } {
  let at = 0;
  const places = blank.parts.map(({ box }) => {
    const place = along === 'x' ? { ...box, xMm: at } : { ...box, yMm: at };
    at += along === 'x' ? box.widthMm : box.heightMm;
    return place;
  });
  const last = places.at(-1)!;
  return { size: { widthMm: last.xMm + last.widthMm, heightMm: last.yMm + last.heightMm }, places };
}

/**
 * What of the picture and of the layers lies on one part: on the plane, and how far the plane is from the face there.
 */
interface Piece {
  part: number;
  picture: RectMm | null;
  rect: RectMm;
  dx: number;
  dy: number;
}

/** One block for each part that carries the whole picture. */
export const eachBlocks = (blank: Blank, input: FormInput): RawBlock[] =>
  piecesOf(
    blank,
    input,
    blank.parts.map(() => boxOf(blank.parts[0]!.box)),
  ).map((piece) => blockOf([piece], input.place, piece.part));

/** One block with the picture parted at the gaps. */
export function spreadBlocks(blank: Blank, input: FormInput, along: 'x' | 'y'): RawBlock[] {
  const pieces = piecesOf(blank, input, closedParts(blank, along).places);
  return pieces.length > 0 ? [blockOf(pieces, input.place, null)] : [];
}

function piecesOf(blank: Blank, { place, layers }: FormInput, onPlane: readonly RectMm[]): Piece[] {
  return blank.parts.flatMap(({ box }, part): Piece[] => {
    const [dx, dy] = [box.xMm - onPlane[part]!.xMm, box.yMm - onPlane[part]!.yMm];
    const picture = intersection(place, onPlane[part]!);
    const own = layers
      .map((layer) => intersection(layer, box))
      .filter((rect) => rect !== null)
      .map((rect) => moved(rect, -dx, -dy));
    const all = [...(picture ? [picture] : []), ...own];
    return all.length > 0 ? [{ part, picture, rect: unionRect(all), dx, dy }] : [];
  });
}

function blockOf(pieces: readonly Piece[], place: RectMm, part: number | null): RawBlock {
  const rect = unionRect(pieces.map((piece) => piece.rect));
  const at = (of: RectMm) => moved(of, -rect.xMm, -rect.yMm);
  return {
    whole: null,
    reach: [],
    block: {
      widthMm: rect.widthMm,
      heightMm: rect.heightMm,
      part,
      bent: null,
      solids: [],
      folds: [],
      pictures: pieces.flatMap(({ picture, dx, dy }) =>
        picture
          ? [
              {
                at: at(picture),
                face: { xMm: picture.xMm + dx, yMm: picture.yMm + dy },
                from: { xMm: picture.xMm - place.xMm, yMm: picture.yMm - place.yMm },
                flipX: false,
                flipY: false,
              },
            ]
          : [],
      ),
      views: pieces.map((piece) => ({
        at: at(piece.rect),
        face: { xMm: piece.rect.xMm + piece.dx, yMm: piece.rect.yMm + piece.dy },
      })),
    },
  };
}
