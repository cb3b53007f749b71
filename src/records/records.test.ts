import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from '@/testing/properties';
import { motifKey } from '@/core/stations';
import { FORMATS } from '@/testing/formats';
import { NOW, readyPiece } from '@/testing/builders';
import {
  DEFAULT_SETTINGS,
  PIECE_MIGRATIONS,
  PIECE_VERSION,
  checkPiece,
  migrateToCurrent,
  newPiece,
  readPiece,
  readSettings,
  withPictures,
} from './index';

/** A piece as version 11 stored it. */
function asEleven() {
  const { surface, method, cure, keep, ...piece } = readyPiece();
  const { bakeSafe: _b, ...oldSurface } = surface;
  const { settled: _s, ...oldMethod } = method;
  const { waitBy, ...oldCure } = cure;
  const { boughtPrice: _p, ...oldKeep } = keep;
  return {
    ...piece,
    version: 11,
    surface: oldSurface,
    method: oldMethod,
    cure: { ...oldCure, school: waitBy },
    keep: oldKeep,
  };
}

/** A piece as version 4 stored it. */
function versionFour() {
  const {
    work: _w,
    cure: { cover: _c, oven: _o, through: _t, signs: _s, ...cure },
    ...piece
  } = asEleven();
  return { ...piece, version: 4, cure };
}

/** A piece as version 3 stored it. */
function versionThree() {
  const {
    sheet: { form: _f, copies: _p, motif: _m, proof: _r, order: _o, ...sheet },
    ...piece
  } = versionFour();
  return { ...piece, version: 3, sheet };
}

/** A piece as version 2 stored it. */
function versionTwo() {
  const { picture, surface, method, sheet, ...piece } = versionThree();
  const { custom: _c, overlapMm: _v, ...oldSheet } = sheet;
  const { turns: _t, straightenDeg: _s, tone: _o, layers: _l, ...oldPicture } = picture;
  const { shape: _h, grain: _g, bareColour: _b, ...oldSurface } = surface;
  const { look: _k, tryOn: _y, ...oldMethod } = method;
  return { ...piece, version: 2, picture: oldPicture, surface: oldSurface, method: oldMethod, sheet: oldSheet };
}

/** A piece as version 1 stored it: one margin all round. */
function versionOne(marginMm: number | undefined) {
  const { sheet, ...piece } = versionTwo();
  const { margins: _, ...rest } = sheet;
  return { ...piece, version: 1, sheet: marginMm === undefined ? rest : { ...rest, marginMm } };
}

/** What each migration was shown to do; a migration without a case here fails the test below. */
const CASES: Readonly<Record<number, () => void>> = {
  1: () => {
    const read = readPiece(versionOne(12));
    expect(read).toMatchObject({
      ok: true,
      value: { version: PIECE_VERSION, sheet: { margins: { topMm: 12, rightMm: 12, bottomMm: 12, leftMm: 12 } } },
    });
    expect(read.ok && 'marginMm' in read.value.sheet).toBe(false);
    expect(readPiece(versionOne(undefined))).toMatchObject({ ok: true, value: { sheet: { margins: { topMm: 10 } } } });
  },
  2: () => {
    expect(readPiece(versionTwo())).toEqual({ ok: true, value: readyPiece() });
    const gesso = { ...versionTwo(), method: { ...versionTwo().method, school: 'opaque-base', binder: 'gesso' } };
    expect(readPiece(gesso)).toMatchObject({ ok: true, value: { method: { school: null, binder: null } } });
  },
  3: () => {
    expect(readPiece(versionThree())).toEqual({ ok: true, value: readyPiece() });
    expect(readPiece({ ...versionThree(), sheet: { ...versionThree().sheet, overlapMm: 4 } })).toMatchObject({
      ok: true,
      value: { sheet: { overlapMm: 4, copies: 1, form: { parts: 'skip', edge: 'cut' } } },
    });
  },
  4: () => {
    expect(readPiece(versionFour())).toEqual({ ok: true, value: readyPiece() });
    expect(readPiece({ ...versionFour(), cure: { ...versionFour().cure, labelHours: 9 } })).toMatchObject({
      ok: true,
      value: {
        cure: { labelHours: 9, through: 'typed', cover: 'open', oven: null, signs: [] },
        work: { done: [], draws: [] },
      },
    });
  },
  5: () => {
    const old = (method: object) => ({ ...asEleven(), version: 5, method: { ...asEleven().method, ...method } });
    const tried = { surface: 'canvas', baseCoat: 'none', school: 'E1', binder: 'fluid-gel' };
    expect(readPiece(old({ school: 'A', tryOn: [tried] }))).toMatchObject({
      ok: true,
      value: { method: { school: 'dry-and-rub', tryOn: [{ ...tried, school: 'liner-peel' }] } },
    });
    expect(readPiece(old({ school: null })).ok).toBe(true);
  },
  6: () => {
    const { surface, keep, ...piece } = asEleven();
    const { paintAge: _a, underColour: _u, ...oldSurface } = surface;
    const { paintTin: _p, ...prices } = keep.prices;
    const done = [{ step: 'mend', at: NOW, minutes: null, planned: 15 }];
    const old = {
      ...piece,
      version: 6,
      surface: oldSurface,
      keep: { ...keep, prices },
      seal: { ...piece.seal, sheen: 'matte' },
      work: { done, draws: [] },
    };
    expect(readPiece(old)).toMatchObject({
      ok: true,
      value: {
        surface: { paintAge: null, underColour: null },
        keep: { prices: { paintTin: { price: null, ml: null } } },
        seal: { sheen: 'matte' },
        work: { done: [{ step: 'mend', early: false }] },
      },
    });
  },
  7: () => {
    const { faults: _, rub, mend, ...piece } = asEleven();
    const { readings: _r, ...oldRub } = rub;
    const { wear: _w, glaze: _g, ...oldMend } = mend;
    expect(readPiece({ ...piece, version: 7, rub: oldRub, mend: oldMend })).toEqual({ ok: true, value: readyPiece() });
  },
  8: () => {
    const { picture, surface, ...piece } = asEleven();
    const { keepClear: _k, ...oldPicture } = picture;
    const { face: _f, ...oldSurface } = surface;
    expect(readPiece({ ...piece, version: 8, picture: oldPicture, surface: oldSurface })).toEqual({
      ok: true,
      value: readyPiece(),
    });
  },
  9: () => {
    const { set: _s, template: _t, ...piece } = asEleven();
    expect(readPiece({ ...piece, version: 9 })).toEqual({ ok: true, value: readyPiece() });
  },
  10: () => {
    const { rub, ...piece } = asEleven();
    const { overruledAt: _o, ...oldRub } = rub;
    expect(readPiece({ ...piece, version: 10, rub: oldRub })).toEqual({ ok: true, value: readyPiece() });
  },
  11: () => {
    expect(readPiece(asEleven())).toEqual({ ok: true, value: readyPiece() });
    const byClock = { ...asEleven(), cure: { ...asEleven().cure, school: 'clock' } };
    expect(readPiece(byClock)).toMatchObject({ ok: true, value: { cure: { waitBy: 'clock' } } });
    expect(readPiece(byClock)).not.toMatchObject({ value: { cure: { school: 'clock' } } });
  },
  12: () => {
    const old = (method: object) => ({ ...readyPiece(), version: 12, method: { ...readyPiece().method, ...method } });
    const printOf = (method: object) => {
      const read = readPiece(old(method));
      return read.ok && read.value.method.print;
    };
    expect(readPiece(old({}))).toEqual({ ok: true, value: readyPiece() });
    expect(printOf({ binder: null, school: null })).toBeNull();
    expect(printOf({ binder: null, school: null, print: 'inkjet-plain' })).toBe('inkjet-plain');
  },
};

describe('the stored piece', () => {
  it('is valid from its first moment, and when it is ready', () => {
    expect(checkPiece(newPiece('a', 'New', NOW)).ok).toBe(true);
    expect(checkPiece(readyPiece()).ok).toBe(true);
    expect(readPiece(readyPiece())).toEqual({ ok: true, value: readyPiece() });
  });

  it.each(PIECE_MIGRATIONS.map((migration) => [migration.from, migration.name] as const))(
    'migrates from version %p: %s',
    (from) => {
      expect(CASES[from]).toBeDefined();
      CASES[from]();
    },
  );

  it('has an unbroken chain to the current version, and leaves what it reads untouched', () => {
    expect(PIECE_MIGRATIONS.map(({ from, to }) => [from, to])).toEqual(
      Array.from({ length: PIECE_VERSION - 1 }, (_, i) => [i + 1, i + 2]),
    );
    const old = versionOne(7);
    const before = JSON.stringify(old);
    readPiece(old);
    expect(JSON.stringify(old)).toBe(before);
  });

  it('refuses what is newer, says no version, or does not fit, each with its own reason', () => {
    expect(readPiece({ ...readyPiece(), version: PIECE_VERSION + 1 })).toMatchObject({
      ok: false,
      error: { code: 'record-newer', values: { found: PIECE_VERSION + 1, known: PIECE_VERSION } },
    });
    for (const data of [null, 7, 'piece', {}, { version: '2' }, { version: 0 }, { version: 1.5 }])
      expect(readPiece(data)).toMatchObject({ ok: false, error: { code: 'record-unversioned' } });
    expect(readPiece({ ...readyPiece(), surface: { ...readyPiece().surface, widthMm: '240' } })).toMatchObject({
      ok: false,
      error: { code: 'record-invalid', path: 'surface.widthMm' },
    });
    expect(readPiece({ ...readyPiece(), extra: 1 })).toMatchObject({ ok: false, error: { code: 'record-invalid' } });
    expect(migrateToCurrent({ version: 1 }, 3, [])).toMatchObject({ ok: false, error: { code: 'record-invalid' } });
  });

  it('refuses any figure out of its range, and survives JSON', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (widthMm) => {
        const piece = { ...readyPiece(), surface: { ...readyPiece().surface, widthMm } };
        expect(checkPiece(piece).ok).toBe(widthMm >= 1 && widthMm <= 3000);
      }),
    );
    expect(JSON.parse(JSON.stringify(readyPiece()))).toEqual(readyPiece());
  });
});

it('a piece whose picture gets another id keeps its motif', () => {
  const { sheet, picture } = readyPiece();
  const found = { of: motifKey(picture), rings: [[{ x: 0, y: 0 }]] };
  const renamed = withPictures(readyPiece({ sheet: { ...sheet, motif: found } }), (id) => `${id}-b`);
  expect(renamed.sheet.motif).toEqual({ ...found, of: motifKey(renamed.picture) });
  expect(renamed.picture.pictureId).toBe('picture-1-b');
  const other = { ...found, of: 'of another picture' };
  const kept = withPictures(readyPiece({ sheet: { ...sheet, motif: other } }), (id) => `${id}-b`);
  expect(kept.sheet.motif).toEqual(other);
});

describe('settings', () => {
  it('fall back to the defaults rather than stop the program', () => {
    expect(readSettings({ ...DEFAULT_SETTINGS, unitSystem: 'inch' }).unitSystem).toBe('inch');
    expect(readSettings({ ...DEFAULT_SETTINGS, unitSystem: 'cubits' })).toEqual(DEFAULT_SETTINGS);
    expect(readSettings(null)).toEqual(DEFAULT_SETTINGS);
    expect(readSettings({ id: 'settings', theme: 'dark' }).theme).toBe('dark');
  });
});

describe('the published formats', () => {
  it.each(FORMATS.map(({ file, schema }) => [file, schema] as const))(
    'docs/formats/%s is what the validator says (npm run formats)',
    (file, schema) => {
      expect(readFileSync(join(process.cwd(), 'docs', 'formats', file), 'utf8')).toBe(schema);
    },
  );
});
