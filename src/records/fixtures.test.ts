import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCHOOLS } from '@/core/craft';
import { planPiece, runSteps } from '@/core/plan';
import { NOW, PICTURE } from '@/testing/builders';
import {
  DEFAULT_SETTINGS,
  PIECE_VERSION,
  checkPiece,
  readAgenda,
  readPiece,
  readRoom,
  readSettings,
  readStash,
  readTimer,
  type Piece,
} from './index';

interface Written {
  pieces: (Record<string, Record<string, unknown>> & { id: string; name: string; dueOn: string | null })[];
  stash?: { version: number };
  agenda?: { helpers?: object[] };
  room?: object;
  settings?: object;
  timers?: object[];
}

/** What each version wrote, as it was written. */
const written = (version: number): Written =>
  JSON.parse(readFileSync(join(process.cwd(), `src/testing/fixtures/version-${version}.json`), 'utf8')) as Written;

/** Sections must come back with what they held. */
const SECTIONS = ['picture', 'surface', 'lay', 'cure', 'rub', 'mend', 'seal', 'work', 'keep'] as const;

/** All but what version 12 renamed. */
const keptOf = ({ school: _, ...kept }: Record<string, unknown>) => kept;

describe.each(Array.from({ length: PIECE_VERSION - 1 }, (_, index) => index + 1))(
  'what version %p wrote',
  (version) => {
    const { pieces, stash, agenda, room, settings, timers } = written(version);

    it('opens as it was, and can be planned', () => {
      expect(pieces.length).toBeGreaterThan(2);
      for (const old of pieces) {
        const read = readPiece(old);
        if (!read.ok) throw new Error(`${old.id}: ${read.error.message}`);
        const piece: Piece = read.value;
        for (const section of SECTIONS) if (old[section]) expect(piece[section]).toMatchObject(keptOf(old[section]));
        expect(piece.cure.waitBy).toBe(old.cure.waitBy ?? old.cure.school);
        expect({ id: piece.id, name: piece.name, dueOn: piece.dueOn }).toEqual({
          id: old.id,
          name: old.name,
          dueOn: old.dueOn,
        });
        expect(piece.method.binder).toBe(old.method.binder);
        expect(piece.method.school === null).toBe(old.method.school === null);
        expect(checkPiece(piece).ok).toBe(true);
        expect(runSteps(piece, planPiece(piece, PICTURE, NOW)).length).toBeGreaterThan(0);
      }
    });

    if (version === 1)
      it('one margin becomes one for each side', () => {
        const read = readPiece(pieces[0]);
        const { marginMm } = pieces[0].sheet as { marginMm: number };
        expect(read.ok && Object.values(read.value.sheet.margins)).toEqual(Array(4).fill(marginMm));
      });

    if (version === 5)
      it('every school that could be chosen has its id that speaks', () => {
        const chosen = pieces.filter(({ id }) => id.startsWith('school-')).map((old) => readPiece(old));
        const ids = chosen.map((read) => (read.ok ? read.value.method.school : null));
        expect([...ids].sort()).toEqual(SCHOOLS.map(({ id }) => id).sort());
        for (const read of chosen)
          expect(read.ok && read.value.method.tryOn[0].school).toBe(read.ok && read.value.method.school);
      });

    it('its stash, agenda, room, settings and timers are read too', () => {
      if (stash && stash.version === 2)
        expect(readStash(stash)).toEqual({ ok: true, value: { ...stash, version: 3, printer: null } });
      if (stash && stash.version === 1)
        expect(readStash(stash)).toMatchObject({
          value: { printer: 'laser', items: [{ material: 'fluid-gel', price: 12, size: 240 }] },
        });
      if (agenda)
        expect(readAgenda(agenda)).toMatchObject({
          ok: true,
          value: {
            ...agenda,
            version: 4,
            hoursSaid: expect.any(Boolean) as boolean,
            helpers: (agenda.helpers ?? []).map((helper) => ({ ...helper, days: {} })),
          },
        });
      if (room) expect(readRoom(room)).toEqual({ ok: true, value: room });
      if (settings) expect(readSettings(settings)).toEqual({ ...DEFAULT_SETTINGS, ...settings });
      for (const timer of timers ?? []) expect(readTimer(timer)).toEqual(timer);
    });
  },
);
