/** The pictures that a piece refers to, from what its fields say of themselves. */
import { sum } from '@/core/shared';
import { motifKey } from '@/core/stations';
import { namesOf, valuesOf } from './field';
import { SECTION_FIELDS, sectionsOf, type Piece, type SectionId } from './piece';

/** How many pictures one piece may refer to. */
export const MOST_PICTURES = sum(
  SECTION_FIELDS.flatMap(([, fields]) => namesOf(fields).map((name) => fields[name]?.pictures?.most ?? 0)),
);

/** Their ids, each once; also of a piece of an older version, which lacks fields. */
export function picturesOf(piece: { readonly [S in SectionId]?: object }): string[] {
  const ids = SECTION_FIELDS.flatMap(([id, fields]) => {
    const values = { ...piece[id] } as Record<string, unknown>;
    return namesOf(fields).flatMap((name) =>
      values[name] === undefined ? [] : (fields[name]?.pictures?.ids(values[name]) ?? []),
    );
  });
  return [...new Set(ids)].filter((id) => typeof id === 'string');
}

/** The same piece with other ids for its pictures; null where one is not to be had, and what needs it falls away. */
export function withPictures(piece: Piece, idOf: (id: string) => string | null): Piece {
  const sections = sectionsOf((id, fields) => {
    const before = { ...piece[id] } as Record<string, unknown>;
    return valuesOf(fields, (name, { pictures }) => (pictures ? pictures.renamed(before[name], idOf) : before[name]));
  });
  const { motif } = piece.sheet;
  // Found in that very picture: it stays found under the picture's other name.
  const isOfIt = motif && motif.of === motifKey(piece.picture);
  const sheet = isOfIt ? { ...sections.sheet, motif: { ...motif, of: motifKey(sections.picture) } } : sections.sheet;
  return { ...piece, ...sections, sheet };
}
