/** Runs in the browser that is killed: changes of every kind, one after the other, and what stands in the store after. */
import { hashBytes } from '@/core/shared/hash';
import { MS_PER_HOUR } from '@/core/shared';
import { DEFAULT_SETTINGS, newItem, newPiece, picturesOf, type Piece, type StoredPicture } from '@/records';
import {
  addPieces,
  changeAgenda,
  changeRoom,
  changeSettings,
  changeStash,
  database,
  historyState,
  putTimer,
  purgePiece,
  readShelf,
  removePiece,
  restorePiece,
  savePiece,
  stepHistory,
  storedAgenda,
  storedRoom,
  storedStash,
} from '@/storage';
import { compareBackup, restoreBackup, type OpenBackup } from '@/storage/backup';

type Said = { ok: boolean; error?: { code: string } };
const NOW = 1_800_000_000_000;
const db = database();

async function picture(id: string, seed: number): Promise<StoredPicture> {
  const bytes = Uint8Array.from({ length: 20_000 + seed }, (_, i) => (i * 31 + seed) % 251);
  const file = new Blob([bytes]);
  const facts = {
    name: `${id}.jpg`,
    type: 'image/jpeg',
    widthPx: 40,
    heightPx: 30,
    paleShare: 0,
    darkShare: 0,
  } as const;
  return { id, ...facts, bytes: bytes.length, sha256: await hashBytes(bytes), file, preview: file };
}
async function stored(id: string): Promise<Piece> {
  const piece = (await readShelf(db)).pieces.find((one) => one.id === id);
  if (!piece) throw new Error(`no piece ${id}`);
  return piece;
}
const withPicture = (piece: Piece, pictureId: string): Piece => ({
  ...piece,
  picture: { ...piece.picture, pictureId },
});

async function begin(): Promise<void> {
  if ((await db.pieces.count()) === 0) await addPieces(db, [newPiece('edited', '0', NOW)]);
}

async function restored(n: number): Promise<Said> {
  const id = `restored-${n}`;
  const piece = withPicture(newPiece(id, String(n), NOW), `${id}-picture`);
  const backup: OpenBackup = {
    madeAt: NOW,
    pieces: [{ piece, marks: new Set(), undo: () => Promise.resolve({ history: [], cursor: null }), removedAt: null }],
    unreadable: [],
    ...{ stash: null, agenda: null, room: null, settings: null, timers: [], aside: [], versions: [] },
    pictures: [await picture(`${id}-picture`, n % 97)],
  };
  return restoreBackup(db, {
    backup,
    comparison: await compareBackup(db, backup),
    choices: { pieces: {}, records: {} },
    ...{ now: NOW + n, newId: () => `new-${n}`, label: 'restored', copyName: String },
  });
}

/** Changes that are made again and again; each leaves its number behind. */
const CHANGES: readonly ((n: number) => Promise<Said>)[] = [
  async (n) => {
    const base = await stored('edited');
    return savePiece(db, { base, mine: { ...base, name: String(n) }, label: 'name', now: NOW + n });
  },
  async (n) => {
    const base = await stored('edited');
    const mine = { ...withPicture(base, `edited-${n}`), name: String(n) };
    return savePiece(db, {
      base,
      mine,
      label: 'picture',
      now: NOW + n,
      pictures: [await picture(`edited-${n}`, n % 89)],
    });
  },
  (n) => changeStash(db, () => ({ items: [newItem('gel', 'binder', 'Gel', NOW, { amount: n, size: 1e6 })] })),
  (n) => changeAgenda(db, () => ({ reserveHours: n % 1000, revision: n })),
  async (n) => {
    const id = `imported-${n}`;
    const piece = withPicture(newPiece(id, String(n), NOW), `${id}-picture`);
    return addPieces(db, [piece], [await picture(`${id}-picture`, n % 83)]);
  },
  restored,
];

const KEPT_CHANGES = 30;

/** Makes changes until the browser ends, telling each before and after. */
async function run(from: number): Promise<void> {
  for (let n = from; ; n++) {
    const kind = n % CHANGES.length;
    await fetch(`/begun?n=${n}`);
    const said = await CHANGES[kind](n);
    await fetch(`/done?n=${n}&ok=${said.ok}`);
    // So that a long run does not fill the disk.
    for (const { id } of (await readShelf(db)).pieces)
      if (id !== 'edited' && Number(id.split('-')[1]) < n - KEPT_CHANGES) await purgePiece(db, id);
  }
}

/** What stands in the store, and what is wrong with it. */
async function look() {
  const wrong: string[] = [];
  const { pieces, unreadable } = await readShelf(db);
  if (unreadable.length > 0) wrong.push(`unreadable: ${unreadable.map(({ id }) => id).join(', ')}`);
  if (pieces.length === 0) wrong.push('blank');
  for (const piece of pieces) {
    for (const id of picturesOf(piece)) {
      const [facts, files] = await Promise.all([db.pictureFacts.get(id), db.pictures.get(id)]);
      if (!facts || !files) wrong.push(`${piece.id} lacks ${id}`);
      else if ((await hashBytes(new Uint8Array(await files.file.arrayBuffer()))) !== facts.sha256)
        wrong.push(`${id} is torn`);
    }
    const { undo } = await historyState(db, piece.id);
    if (undo && undo.mark !== piece.revision)
      wrong.push(`${piece.id}: undo at ${undo.mark}, revision ${piece.revision}`);
  }
  const [stash, agenda, room] = await Promise.all([storedStash(db), storedAgenda(db), storedRoom(db)]);
  for (const one of [stash, agenda, room]) if (!one.ok) wrong.push(one.error.message);
  const edited = pieces.find(({ id }) => id === 'edited');
  return {
    wrong,
    edited: Number(edited?.name ?? -1),
    stash: stash.ok ? (stash.value.items[0]?.amount ?? 0) : -1,
    agenda: agenda.ok ? agenda.value.revision : -1,
    ids: pieces.map(({ id }) => id),
  };
}

/** Everything in the store as text, pictures by their size. */
async function dump(): Promise<string> {
  const tables = await Promise.all(
    db.tables.map(async (table) => {
      const records = await table.toArray();
      return [table.name, records] as const;
    }),
  );
  return JSON.stringify(tables, (_, value: unknown) => (value instanceof Blob ? `blob ${value.size}` : value));
}

/**
 * Every kind of write while nothing more fits from the n-th write on: what is said to be kept must be there, and what
 * is said to have failed must have left nothing behind.
 */
async function full(point: number): Promise<{ said: number; lied: string[] }> {
  await begin();
  const writes: [string, () => Promise<Said>][] = [
    ...CHANGES.map((change, index): [string, () => Promise<Said>] => [
      `change ${index}`,
      () => change(1000 + point * 10 + index),
    ]),
    ['room', () => changeRoom(db, () => ({ day: { coldestC: 8, warmestC: 18, humidityPercent: point % 100 } }))],
    ['settings', () => changeSettings(db, DEFAULT_SETTINGS, { speech: point % 2 === 0, sound: point % 2 === 1 })],
    [
      'timer',
      () =>
        putTimer(db, {
          ...{ id: `t${point}`, label: 'Damp', pieceId: null, step: null },
          startedAt: NOW,
          endsAt: NOW + MS_PER_HOUR,
          pausedLeftMs: null,
          rangAt: null,
        }),
    ],
    [
      'undo',
      async () =>
        stepHistory(db, 'edited', 'undo', {
          mark: (await historyState(db, 'edited')).undo?.mark ?? -1,
          now: NOW + point,
        }),
    ],
    ['remove', () => removePiece(db, `imported-${1000 + point * 10 + 4}`, NOW)],
    ['bring back', () => restorePiece(db, `imported-${1000 + point * 10 + 4}`)],
  ];
  const { put, add } = Object.fromEntries(
    (['put', 'add'] as const).map((name) => [
      name,
      Object.getOwnPropertyDescriptor(IDBObjectStore.prototype, name)?.value as IDBObjectStore['put'],
    ]),
  ) as Record<'put' | 'add', IDBObjectStore['put']>;
  let count = 0;
  const capped = (real: IDBObjectStore['put']) =>
    function (this: IDBObjectStore, ...given: Parameters<IDBObjectStore['put']>) {
      if (++count >= point) throw new DOMException('full', 'QuotaExceededError');
      return real.apply(this, given);
    };
  const lied: string[] = [];
  let said = 0;
  for (const [name, write] of writes) {
    const before = await dump();
    Object.assign(IDBObjectStore.prototype, { put: capped(put), add: capped(add) });
    const counted = count;
    const result = await write().catch((error: unknown) => ({ ok: false, error: { code: String(error) } }));
    Object.assign(IDBObjectStore.prototype, { put, add });
    const after = await dump();
    const failed = count >= point && count > counted;
    if (!result.ok) {
      said++;
      if (failed && result.error?.code !== 'storage-full') lied.push(`${name} at ${point}: said ${result.error?.code}`);
      if (after !== before) lied.push(`${name} at ${point}: failed and left something behind`);
    } else if (failed) lied.push(`${name} at ${point}: said it was kept`);
    else if (after === before && count > counted) lied.push(`${name} at ${point}: nothing was kept`);
  }
  return { said, lied };
}

Object.assign(window, { soak: { begin, run, look, full } });
