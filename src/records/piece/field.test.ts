import type { JobPatch } from '@/core/stations';
import { NOW } from '@/testing/builders';
import { FULL_PIECE } from '@/testing/full-piece';
import { changedBy, checkPiece, newPiece, pieceLike, withChoicesOf, type Piece } from '../index';
import { figure, list, recordId } from '../fields';
import { chosen, namesOf, type Fields } from './field';
import { HEAD, SECTION_FIELDS, type SectionId } from './piece';
import { MOST_PICTURES, picturesOf, withPictures } from './pictures';

const valuesOf = (piece: Piece, id: SectionId): Record<string, unknown> => ({ ...piece[id] });
const FIELDS = SECTION_FIELDS.flatMap(([id, fields]) =>
  namesOf(fields).map((name) => ({ path: `${id}.${name}`, id, name, ...fields[name] })),
);
const valueAt = (piece: Piece, { id, name }: { id: SectionId; name: string }) => valuesOf(piece, id)[name];
const fresh = newPiece('fresh', 'Fresh', NOW);
const another = { id: 'another', name: 'Another', now: NOW };

it('the piece that is full says something of every field, and fits', () => {
  expect(checkPiece(FULL_PIECE)).toEqual({ ok: true, value: FULL_PIECE });
  for (const field of FIELDS) expect([field.path, valueAt(FULL_PIECE, field)]).not.toEqual([field.path, field.initial]);
  for (const [id, fields] of SECTION_FIELDS)
    expect([id, Object.keys(FULL_PIECE[id]).sort()]).toEqual([id, namesOf(fields).sort()]);
});

describe.each(FIELDS.map((field) => [field.path, field] as const))('%s', (path, field) => {
  const [full, none] = [valueAt(FULL_PIECE, field), field.initial];
  it(`is ${field.nature}: ${field.nature === 'chosen' ? 'another like it has it' : 'another like it begins without'}`, () => {
    const like = valueAt(pieceLike(FULL_PIECE, { ...another, withoutPicture: false }), field);
    // The picture is its own, and taken along.
    const goesAlong = field.nature === 'chosen' || path === 'picture.pictureId';
    expect(like).toEqual(goesAlong ? full : none);
  });
  it('in a set it is given to one that is not so far, or stays each one’s own', () => {
    const mine = { ...fresh, picture: { ...fresh.picture, pictureId: FULL_PIECE.picture.pictureId } };
    expect(valueAt(withChoicesOf(FULL_PIECE, mine), field)).toEqual(
      field.nature === 'chosen' ? full : valueAt(mine, field),
    );
    const other = { ...fresh, picture: { ...fresh.picture, pictureId: 'another picture' } };
    expect(valueAt(withChoicesOf(FULL_PIECE, other), field)).toEqual(
      field.nature === 'chosen' && !field.samePictureOnly ? full : valueAt(other, field),
    );
  });
  it('voids what it says, unless the same change says that itself', () => {
    if (full === valueAt(fresh, field)) return;
    const patch = { [field.id]: { [field.name]: none } } as JobPatch;
    const changed = changedBy(FULL_PIECE, patch);
    const voids = Object.keys(field.voids ?? {});
    const moved = FIELDS.filter((one) => valueAt(changed, one) !== valueAt(FULL_PIECE, one)).map((one) => one.path);
    expect(moved.sort()).toEqual([path, ...voids.map((name) => `${field.id}.${name}`)].sort());
    const said = Object.fromEntries(
      [field.name, ...voids].map((name) => [name, valueAt(FULL_PIECE, { ...field, name })]),
    );
    const kept = changedBy(FULL_PIECE, { [field.id]: { ...said, [field.name]: none } });
    for (const name of voids) expect(valueAt(kept, { ...field, name })).toBe(valueAt(FULL_PIECE, { ...field, name }));
  });
});

it('what lies in no section: only the date is chosen', () => {
  const like = withChoicesOf(FULL_PIECE, fresh);
  for (const name of namesOf(HEAD))
    expect([name, like[name]]).toEqual([name, name === 'dueOn' ? FULL_PIECE[name] : fresh[name]]);
});

it('other paint is painted anew on what stays sanded; another stuff is begun anew', () => {
  const painted = {
    ...FULL_PIECE,
    surface: { ...FULL_PIECE.surface, prepared: ['sand', 'dust', 'base-coat', 'light-sand'] as const },
  } as unknown as Piece;
  expect(changedBy(painted, { surface: { baseColour: '#ffffff' } }).surface.prepared).toEqual(['sand', 'dust']);
  expect(changedBy(painted, { surface: { kind: 'glass' } }).surface.prepared).toEqual([]);
  expect(changedBy(painted, { surface: { kind: painted.surface.kind, widthMm: 99 } }).surface.prepared).toEqual(
    painted.surface.prepared,
  );
});

describe('pictures of a piece', () => {
  const ids = ['picture-full', 'picture-layer', 'picture-face', 'photo-dry', 'photo-wet', 'photo-kept'];
  /** Whatever in a value is named as an id of a picture. */
  const named = (data: unknown): string[] =>
    typeof data === 'object' && data !== null
      ? Object.entries(data).flatMap(([key, value]) =>
          /(picture|Picture|photo|Photo)Id$/.test(key) ? [String(value)] : named(value),
        )
      : [];
  it('are all found, each once, also of a piece that lacks fields', () => {
    expect(picturesOf(FULL_PIECE).sort()).toEqual([...ids].sort());
    expect([...new Set(named(FULL_PIECE))].sort()).toEqual([...ids].sort());
    const { face: _, ...surface } = FULL_PIECE.surface;
    const old = { ...FULL_PIECE, surface, rub: undefined, keep: { ...FULL_PIECE.keep, photoId: 'picture-full' } };
    expect(picturesOf(old as unknown as Piece)).toEqual(['picture-full', 'picture-layer']);
  });
  it('get other ids, or fall away with what needs them', () => {
    expect(picturesOf(withPictures(FULL_PIECE, (id) => `${id}-b`)).sort()).toEqual(ids.map((id) => `${id}-b`).sort());
    const without = withPictures(FULL_PIECE, () => null);
    expect([picturesOf(without), checkPiece(without).ok]).toEqual([[], true]);
    expect(without).toMatchObject({
      picture: { pictureId: null, layers: [{ kind: 'text' }] },
      surface: { face: null },
    });
    expect(withPictures(FULL_PIECE, (id) => id)).toEqual(FULL_PIECE);
  });
  it('are at most as many as layers, face, photos of readings, the picture and the photo kept', () => {
    expect(MOST_PICTURES).toBe(24 + 1 + 12 + 1 + 1);
  });
});

it('nothing is stored that says no nature, or hides a picture: it does not compile', () => {
  const schema = () => figure(0, 1);
  const plain: Fields<{ a: number }> = { a: chosen(schema, 1) };
  // @ts-expect-error without a nature
  const lacking: Fields<{ a: number }> = { a: { initial: 1, schema } };
  // @ts-expect-error without saying which pictures it refers to
  const hiding: Fields<{ layers: { pictureId: string }[] }> = { layers: chosen(() => list(recordId(), 3), []) };
  expect([plain, lacking, hiding].map((fields) => Object.keys(fields).length)).toEqual([1, 1, 1]);
});
