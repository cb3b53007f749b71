/**
 * Files and records bent by chance, one after the other the same from the same seed, for every reader of what comes
 * from outside. What a reader accepts must be of use: pieces can be planned, hours give windows, a stash counts.
 */
import { strToU8, unzipSync, zipSync } from 'fflate';
import { NOTHING_SAID } from '@/core/at-hand';
import { foresee, nextStep, planPiece, runSteps, stationStates } from '@/core/plan';
import { acceptPicture, isWhole } from '@/core/picture';
import { SHELF, buildInstance } from '@/core/schedule';
import { readSvgOutline } from '@/core/shape/svg-outline';
import { MS_PER_DAY, seededChance, type Result } from '@/core/shared';
import { hashBytes } from '@/core/shared/hash';
import { dueAt } from '@/core/stations';
import { DEMO_AGENDA, demoPieces, demoStash } from '@/demo/scenario';
import {
  DEFAULT_SETTINGS,
  EMPTY_ROOM,
  atHandOf,
  buildInputOf,
  readAgenda,
  readPiece,
  readRoom,
  readSettings,
  readStash,
  readTimer,
  type Agenda,
  type Piece,
} from '@/records';
import { openBackup } from '@/storage/backup';
import { manifestOf } from '@/storage/backup/format';
import { readBusyTimes } from '@/storage/busy';
import { openBundle, writeBundle } from '@/storage/bundle';
import { readStashCsv, writeStashCsv } from '@/storage/stash-csv';
import { readHeader } from '@/workers/picture/header';
import { NOW, PICTURE } from './builders';

export interface MutantKind {
  name: string;
  /** Whether the page gives such a file up after a while, so that it may take long here. */
  isTimed?: boolean;
  /** Bends one by chance and reads it. @returns whether it was accepted; throws where the reader does, or its result is of no use */
  run: (chance: () => number) => Promise<boolean>;
}

type Chance = () => number;
const pick = <T>(list: readonly T[], chance: Chance): T => list[Math.floor(chance() * list.length)];
const below = (most: number, chance: Chance) => Math.floor(chance() * most);

const JUNK: readonly unknown[] = [
  ...[0, -1, 1, 0.5, 1e9, -1e9, 1e300, 2 ** 53, 1e-300, null, true, false, '', ' ', 'x', 'x'.repeat(5000), [], {}],
  ...['2026-31-12', '2026-02-30', '9999-12-31', '0000-00-00', '-1', 'NaN', '\u0000', '\u202e', '😀', '__proto__'],
  ...[[[]], [null], [{}], { id: 'a' }, { code: 'x' }, [0, 0], { x: 0, y: 0 }],
];

/** A record with one to a few of its values changed, dropped, doubled or moved. */
function bentRecord(record: unknown, chance: Chance): unknown {
  const copy = structuredClone(record);
  for (let times = chance() < 0.6 ? 1 : 1 + below(3, chance); times > 0; times--) bendOnce(copy, chance);
  return copy;
}

function bendOnce(root: unknown, chance: Chance): void {
  let at = root as Record<string, unknown>;
  for (let depth = 0; depth < 9; depth++) {
    const keys = Object.keys(at);
    if (keys.length === 0) return;
    const key = pick(keys, chance);
    const value = at[key];
    if (typeof value === 'object' && value !== null && chance() < 0.75) {
      at = value as Record<string, unknown>;
      continue;
    }
    const how = chance();
    if (how < 0.15) delete at[key];
    else if (how < 0.25) at[`${key}2`] = value;
    else if (how < 0.35 && typeof value === 'number') at[key] = value * pick([-1, 0, 10, 1000, 1e6, 1.0000001], chance);
    else if (how < 0.45) at[key] = Array.from({ length: pick([2, 30, 600, 3000], chance) }, () => value);
    else if (how < 0.55) at[key] = at[pick(keys, chance)];
    else at[key] = pick(JUNK, chance);
    return;
  }
}

/** Bytes cut, flipped, doubled, blanked or put in. */
function bentBytes(bytes: Uint8Array, chance: Chance): Uint8Array<ArrayBuffer> {
  const at = below(bytes.length, chance);
  const length = below(Math.min(400, bytes.length), chance);
  const how = chance();
  const parts: Uint8Array[] =
    how < 0.25
      ? [bytes.subarray(0, at)]
      : how < 0.4
        ? [bytes.subarray(0, at), bytes.subarray(at, at + length), bytes.subarray(at)]
        : [bytes.subarray(0, at), Uint8Array.from({ length }, () => below(256, chance)), bytes.subarray(at + length)];
  const bent = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let to = 0;
  for (const part of parts) {
    bent.set(part, to);
    to += part.length;
  }
  if (how >= 0.55) {
    bent.set(bytes.subarray(0, bent.length));
    for (let times = 1 + below(6, chance); times > 0; times--)
      bent[below(bent.length, chance)] ^= 1 << below(8, chance);
  }
  return bent;
}

/** Text whose tokens are changed for others of its own or for junk, or whose lines are moved. */
function bentText(text: string, tokens: readonly string[], chance: Chance): string {
  let bent = text;
  for (let times = 1 + below(3, chance); times > 0; times--) {
    const lines = bent.split('\n');
    const how = chance();
    const line = below(lines.length, chance);
    if (how < 0.2) lines.splice(line, 1 + below(3, chance));
    else if (how < 0.35) lines.splice(line, 0, lines[below(lines.length, chance)] ?? '');
    else if (how < 0.5) bent = bent.slice(0, below(bent.length, chance));
    else {
      const words = (lines[line] ?? '').split(/(?<=[;:,= "<>])/);
      words[below(words.length, chance)] = pick(tokens, chance);
      lines[line] = words.join('');
    }
    if (how < 0.35 || how >= 0.5) bent = lines.join('\n');
  }
  return bent;
}

/** A piece that was read is planned, placed and looked over like any other. */
function purposeOf(piece: Piece): void {
  const plan = planPiece(piece, PICTURE, NOW, NOTHING_SAID);
  nextStep(piece, plan, NOW);
  stationStates(piece, plan);
  const foreseen = foresee(piece, PICTURE, NOW, NOTHING_SAID, plan);
  const steps = runSteps(foreseen.job, foreseen.plan, NOTHING_SAID.pace);
  instanceOf(DEMO_AGENDA, [
    { id: piece.id, name: piece.name, dueAt: dueAt(piece.dueOn), set: null, steps, room: SHELF },
  ]);
}
const instanceOf = (agenda: Agenda, pieces: Parameters<typeof buildInstance>[0]['pieces']) =>
  buildInstance({
    pieces,
    now: NOW,
    ...buildInputOf(agenda),
    timeZone: 'Europe/London',
    air: null,
  });

const PIECES = demoPieces(NOW);
const STASH = demoStash(NOW);
/** What a result is used for where it is one. */
const used = <T>(result: Result<T, string>, take: (value: T) => void = () => undefined): boolean => {
  if (result.ok) take(result.value);
  else if (result.error.code === '' || result.error.message === '') throw new Error('refused without a reason');
  return result.ok;
};
const record =
  <T>(of: () => unknown, read: (data: unknown) => Result<T, string>, use?: (value: T) => void) =>
  (chance: Chance) =>
    Promise.resolve(used(read(bentRecord(of(), chance)), use));

const BYTES = Uint8Array.from({ length: 3000 }, (_, i) => (i * 7919) % 251);
const FACTS = {
  id: 'p',
  name: 'a.jpg',
  type: 'image/jpeg',
  widthPx: 40,
  heightPx: 30,
  paleShare: 0,
  darkShare: 0,
} as const;

async function bundleFiles(): Promise<Record<string, Uint8Array>> {
  const piece = { ...PIECES[0], picture: { ...PIECES[0].picture, pictureId: 'p', layers: [] } };
  const facts = { ...FACTS, bytes: BYTES.length, sha256: await hashBytes(BYTES) };
  const written = await writeBundle(piece, [{ record: facts, bytes: BYTES }]);
  if (!written.ok) throw new Error(written.error.message);
  return unzipSync(written.value);
}

async function backupFiles(): Promise<Record<string, Uint8Array>> {
  const files: Record<string, Uint8Array<ArrayBuffer>> = {
    'pieces/0.json': json({ piece: PIECES[0], history: [], cursor: null }),
    'removed/0.json': json({
      id: 'gone',
      removedAt: NOW,
      piece: { ...PIECES[1], id: 'gone' },
      history: [],
      cursor: null,
    }),
    'records.json': json({
      stash: STASH,
      agenda: DEMO_AGENDA,
      room: EMPTY_ROOM,
      settings: DEFAULT_SETTINGS,
      timers: [],
      aside: [],
      versions: [],
    }),
    'pictures/0': BYTES,
    'previews/0': BYTES.slice(0, 50),
  };
  const listed = await Promise.all(
    Object.entries(files).map(async ([path, bytes]) => ({ path, bytes: bytes.length, sha256: await hashBytes(bytes) })),
  );
  const facts = { ...FACTS, bytes: BYTES.length, sha256: await hashBytes(BYTES) };
  return { ...files, 'backup.json': json(manifestOf(NOW, listed, [facts])) };
}
const json = (data: unknown): Uint8Array<ArrayBuffer> => new Uint8Array(strToU8(JSON.stringify(data)));

/** An archive bent as a whole, or one of its records bent inside it with its listing made anew. */
async function bentArchive(files: Record<string, Uint8Array>, chance: Chance): Promise<Uint8Array<ArrayBuffer>> {
  const level = (path: string) => (/^(pictures|previews)\//.test(path) ? 0 : 6);
  const zipped = (all: Record<string, Uint8Array>) =>
    zipSync(Object.fromEntries(Object.entries(all).map(([path, bytes]) => [path, [bytes, { level: level(path) }]])));
  if (chance() < 0.4) return bentBytes(zipped(files), chance);
  const path = pick(
    Object.keys(files).filter((name) => name.endsWith('.json')),
    chance,
  );
  const bent = { ...files, [path]: json(bentRecord(JSON.parse(new TextDecoder().decode(files[path])), chance)) };
  const listing = bent['backup.json'];
  if (listing && path !== 'backup.json') {
    const manifest = JSON.parse(new TextDecoder().decode(listing)) as {
      files: { path: string; bytes: number; sha256: string }[];
    };
    for (const file of manifest.files)
      if (file.path === path)
        Object.assign(file, { bytes: bent[path].length, sha256: await hashBytes(new Uint8Array(bent[path])) });
    bent['backup.json'] = json(manifest);
  }
  return zipped(bent);
}

const CALENDAR = `BEGIN:VCALENDAR
VERSION:2.0
PRODID:-//a//b
BEGIN:VTIMEZONE
TZID:Europe/London
BEGIN:STANDARD
TZOFFSETFROM:+0100
TZOFFSETTO:+0000
DTSTART:19701025T020000
RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10
END:STANDARD
END:VTIMEZONE
BEGIN:VEVENT
UID:a
DTSTART;TZID=Europe/London:20260301T180000
DTEND;TZID=Europe/London:20260301T200000
RRULE:FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,TU;UNTIL=20270101T000000Z
EXDATE;TZID=Europe/London:20260310T180000
SUMMARY:Choir
END:VEVENT
BEGIN:VEVENT
UID:b
DTSTART;VALUE=DATE:20260305
DURATION:P1D
RRULE:FREQ=MONTHLY;BYMONTHDAY=5;BYSETPOS=1;COUNT=9
END:VEVENT
END:VCALENDAR`;
const CALENDAR_TOKENS = [
  ...['FREQ=SECONDLY;', 'FREQ=MINUTELY;', 'FREQ=HOURLY;', 'FREQ=DAILY;', 'FREQ=YEARLY;', 'INTERVAL=0;', 'INTERVAL=-1;'],
  ...[
    'INTERVAL=99999999;',
    'COUNT=0;',
    'COUNT=999999999;',
    'BYDAY=9MO;',
    'BYDAY=XX;',
    'BYMONTH=13;',
    'BYMONTHDAY=-99;',
  ],
  ...[
    'BYSETPOS=400;',
    'BYHOUR=25;',
    'BYYEARDAY=366;',
    'BYWEEKNO=60;',
    'UNTIL=00000000;',
    '19000101T000000',
    '99991231',
  ],
  ...[
    'P99999999999999999W',
    '-P1D',
    'P1Y',
    'TZID=Nowhere:',
    '20260230T250000',
    'BEGIN:',
    'END:',
    'VEVENT',
    ';',
    '\r',
    '🎵',
  ],
];

const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="80mm" viewBox="0 0 120 80">
<g transform="translate(3 4) rotate(10)">
<path d="M10 10 C 20 0 40 0 50 10 S 80 30 60 50 Q 40 70 20 50 T 10 10 Z"/>
<circle cx="60" cy="40" r="12"/>
</g>
<polygon points="5,5 100,8 90,70 10,60"/>
<rect x="1" y="2" width="30" height="20" rx="3"/>
<ellipse cx="4" cy="5" rx="1e3" ry="2"/>
</svg>`;
const DRAWING_TOKENS = [
  ...['1e300', '-1e300', '1e-300', '0', 'NaN', 'Infinity', '', 'M', 'a', 'A', 'z', 'h', '1e999', '99999999999'],
  ...[
    'scale(1e200)',
    'matrix(0 0 0 0 0 0)',
    'rotate(1e9)',
    '<g>',
    '</g>',
    '<path ',
    'd="M0 0',
    '"',
    '>',
    '&amp;',
    '<!--',
    ']]>',
  ],
];

const TABLE_TOKENS = [
  'binder',
  'x',
  '',
  '"',
  '""',
  '1e400',
  '-1',
  '0',
  '=1+1',
  '2026-13-40',
  ',',
  ',,,,',
  '\r',
  '\u0000',
  'NaN',
  '9'.repeat(400),
];

/** The smallest pictures of each kind that are whole. */
const PICTURES = [
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  '/9j/4AAQSkZJRgABAQEASABIAAD/wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAACf/EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AVN//2Q==',
  'UklGRiIAAABXRUJQVlA4IBYAAAAwAQCdASoBAAEADsD+JaQAA3AAAAAA',
].map((base64) => new Uint8Array(Buffer.from(base64, 'base64')));

/** A text as one program or another writes it: UTF-8 with and without its mark, UTF-16, or a byte a letter. */
function encodedBy(text: string, chance: () => number): Uint8Array {
  const kind = Math.floor(chance() * 4);
  if (kind === 0) return new TextEncoder().encode(`\ufeff${text}`);
  if (kind === 1) return new Uint8Array(Buffer.from(text, 'utf16le'));
  return kind === 2 ? new Uint8Array(Buffer.from(text, 'latin1')) : new TextEncoder().encode(text);
}

export const MUTANT_KINDS: readonly MutantKind[] = [
  { name: 'piece', run: (chance) => record(() => pick(PIECES, chance), readPiece, purposeOf)(chance) },
  {
    name: 'stash',
    run: record(
      () => STASH,
      readStash,
      (stash) => {
        const atHand = { ...NOTHING_SAID, ...atHandOf(stash) };
        for (const piece of PIECES) planPiece(piece, PICTURE, NOW, atHand);
        writeStashCsv(stash.items, ({ amount }) => amount);
      },
    ),
  },
  {
    name: 'agenda',
    run: record(
      () => DEMO_AGENDA,
      readAgenda,
      (agenda) => instanceOf(agenda, []),
    ),
  },
  { name: 'room', run: record(() => EMPTY_ROOM, readRoom) },
  {
    name: 'settings',
    run: (chance) => {
      const settings = readSettings(bentRecord(DEFAULT_SETTINGS, chance));
      return Promise.resolve(settings.unitSystem === 'metric' || settings.unitSystem === 'inch');
    },
  },
  {
    name: 'timer',
    run: (chance) => {
      const timer = {
        id: 'a',
        label: 'Damp',
        pieceId: null,
        step: null,
        startedAt: NOW,
        endsAt: NOW + 9,
        pausedLeftMs: null,
        rangAt: null,
      };
      return Promise.resolve(readTimer(bentRecord(timer, chance)) !== null);
    },
  },
  {
    name: 'bundle',
    run: async (chance) =>
      used(await openBundle(await bentArchive(await bundleFiles(), chance)), ({ piece }) => purposeOf(piece)),
  },
  {
    name: 'backup',
    run: async (chance) =>
      used(await openBackup(new Blob([await bentArchive(await backupFiles(), chance)])), ({ pieces, agenda }) => {
        pieces.forEach(({ piece }) => purposeOf(piece));
        if (agenda) instanceOf(agenda, []);
      }),
  },
  {
    name: 'table',
    isTimed: true,
    run: (chance) =>
      Promise.resolve(
        used(
          readStashCsv(
            encodedBy(
              bentText(
                writeStashCsv(STASH.items, ({ amount }) => amount),
                TABLE_TOKENS,
                chance,
              ),
              chance,
            ),
            NOW,
            () => `new-${chance()}`,
          ),
          ({ items }) =>
            used(readStash({ ...STASH, items: items.map((item, index) => ({ ...item, id: `i${index}` })) })) ||
            refuseItems(),
        ),
      ),
  },
  {
    name: 'calendar',
    isTimed: true,
    run: (chance) =>
      Promise.resolve(
        used(readBusyTimes(bentText(CALENDAR, CALENDAR_TOKENS, chance), NOW, NOW + 90 * MS_PER_DAY), (busy) => {
          if (!used(readAgenda({ ...DEMO_AGENDA, busy }))) throw new Error('busy times that can’t be kept');
          instanceOf({ ...DEMO_AGENDA, busy }, []);
        }),
      ),
  },
  {
    name: 'drawing',
    isTimed: true,
    run: (chance) =>
      Promise.resolve(
        used(readSvgOutline(bentText(DRAWING, DRAWING_TOKENS, chance)), ({ points, widthMm, heightMm }) => {
          const sizes = widthMm && heightMm && widthMm < 3000 && heightMm < 3000 ? { widthMm, heightMm } : {};
          const surface = { ...PIECES[1].surface, ...sizes, shape: { kind: 'polygon' as const, points } };
          const read = readPiece({ ...PIECES[1], surface });
          if (!read.ok) throw new Error(`an outline that can’t be kept: ${read.error.message}`);
          purposeOf(read.value);
        }),
      ),
  },
  {
    name: 'picture',
    run: async (chance) => {
      const bytes = bentBytes(pick(PICTURES, chance), chance);
      const accepted = acceptPicture(bytes.length, await readHeader(new Blob([bytes])));
      return used(accepted, ({ type }) => isWhole(type, bytes));
    },
  },
];
const refuseItems = (): never => {
  throw new Error('items that can’t be kept');
};

/** The n-th mutant of all, the same from the same seed. */
export function mutant(seed: number, index: number): { kind: MutantKind; run: () => Promise<boolean> } {
  const kind = MUTANT_KINDS[index % MUTANT_KINDS.length];
  return { kind, run: () => kind.run(seededChance(seed * 1_000_003 + index)) };
}
