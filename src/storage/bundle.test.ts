import fc from '@/testing/properties';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import ICAL from 'ical.js';
import { hashBytes } from '@/core/shared/hash';
import { NOW, readyPiece } from '@/testing/builders';
import { MOST_PICTURES, PIECE_VERSION, checkPiece, picturesOf, type Piece, type PictureRecord } from '@/records';
import { openBundle, writeBundle, type BundledPicture } from './bundle';
import { writeCalendar } from './calendar';

const BYTES = Uint8Array.from({ length: 5000 }, (_, i) => (i * 7919) % 251);

async function bundled(): Promise<BundledPicture> {
  const record: PictureRecord = {
    id: 'picture-1',
    name: 'map.jpg',
    type: 'image/jpeg',
    bytes: BYTES.length,
    sha256: await hashBytes(BYTES),
    widthPx: 40,
    heightPx: 30,
    paleShare: 0.1,
    darkShare: 0.2,
  };
  return { record, bytes: BYTES };
}
const MOTIF = { of: 'picture-1', rings: [] };

const written = async (piece: Piece, pictures: BundledPicture[]) => {
  const bundle = await writeBundle(piece, pictures);
  if (!bundle.ok) throw new Error(bundle.error.code);
  return bundle.value;
};
const write = async () => written(readyPiece(), [await bundled()]);
const code = async (bytes: Uint8Array) => {
  const read = await openBundle(bytes);
  return read.ok ? 'opened' : read.error.code;
};

/** The bundle with its manifest altered. */
async function altered(
  change: (manifest: Record<string, unknown>) => unknown,
  keepPictures = true,
): Promise<Uint8Array> {
  const files = unzipSync(await write());
  const manifest = JSON.parse(new TextDecoder().decode(files['piece.json'])) as Record<string, unknown>;
  const entries: Zippable = keepPictures ? { ...files } : {};
  entries['piece.json'] = strToU8(JSON.stringify(change(manifest)));
  return zipSync(entries);
}

describe('a bundle', () => {
  it('comes back as it went, and is the same bytes each time', async () => {
    const bytes = await write();
    expect(await openBundle(bytes)).toEqual({ ok: true, value: { piece: readyPiece(), pictures: [await bundled()] } });
    expect(Buffer.compare(Buffer.from(bytes), Buffer.from(await write()))).toBe(0);
    expect(Object.keys(unzipSync(bytes))).toEqual(['piece.json', 'pictures/picture-1.jpg']);
  });

  it('is refused at whatever place it was cut', async () => {
    const bytes = await write();
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: bytes.length - 1 }), async (end) => {
        expect(['bundle-damaged', 'bundle-not-zip', 'bundle-picture-damaged', 'bundle-foreign']).toContain(
          await code(bytes.slice(0, end)),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('sees a single changed byte in a picture', async () => {
    const bytes = await write();
    const at = bytes.findIndex(
      (_, i) =>
        bytes[i] === BYTES[100] &&
        bytes[i + 1] === BYTES[101] &&
        bytes[i + 2] === BYTES[102] &&
        bytes[i + 3] === BYTES[103],
    );
    const damaged = bytes.slice();
    damaged[at] ^= 1;
    expect(await code(damaged)).toBe('bundle-picture-damaged');
  });

  it('refuses what is foreign, newer, lacking or out of shape, each with its reason', async () => {
    expect(await code(strToU8('hello'))).toBe('bundle-not-zip');
    expect(await code(new Uint8Array(0))).toBe('bundle-not-zip');
    expect(await code(zipSync({ 'notes.txt': strToU8('hello') }))).toBe('bundle-foreign');
    expect(await code(zipSync({ 'piece.json': strToU8('{') }))).toBe('bundle-damaged');
    expect(await code(zipSync({ 'piece.json': strToU8('null') }))).toBe('bundle-foreign');
    expect(await code(await altered((m) => ({ ...m, format: 'other' })))).toBe('bundle-foreign');
    expect(await code(await altered((m) => ({ ...m, bundleVersion: 2 })))).toBe('bundle-newer');
    expect(
      await code(await altered((m) => ({ ...m, piece: { ...(m.piece as object), version: PIECE_VERSION + 1 } }))),
    ).toBe('bundle-newer');
    expect(await code(await altered((m) => ({ ...m, piece: { ...(m.piece as object), name: '' } })))).toBe(
      'bundle-damaged',
    );
    expect(await code(await altered((m) => ({ ...m, pictures: [] })))).toBe('bundle-picture-missing');
    expect(await code(await altered((m) => m, false))).toBe('bundle-picture-missing');
    expect(
      await code(
        await altered((m) => ({ ...m, pictures: [{ ...(m.pictures as object[])[0], path: '../../etc/passwd' }] })),
      ),
    ).toBe('bundle-damaged');
  });

  it('opens what version 1 of the piece wrote', async () => {
    const old = await altered((m) => {
      const { sheet, cure, ...piece } = m.piece as Record<string, Record<string, unknown>>;
      const { margins: _, ...rest } = sheet;
      const { waitBy, ...air } = cure;
      return {
        ...m,
        piece: { ...piece, version: 1, sheet: { ...rest, marginMm: 10 }, cure: { ...air, school: waitBy } },
      };
    });
    expect(await openBundle(old)).toMatchObject({ ok: true, value: { piece: readyPiece() } });
  });

  it('does not unpack more than it should', async () => {
    const many = Object.fromEntries(Array.from({ length: MOST_PICTURES + 10 }, (_, i) => [`f${i}`, new Uint8Array(1)]));
    expect(await code(zipSync({ ...many, 'piece.json': strToU8('{}') }))).toBe('bundle-too-large');
    expect(await code(zipSync({ 'piece.json': new Uint8Array(65 * 1024 * 1024) }))).toBe('bundle-too-large');
  });

  /** As much as a piece can hold: every layer a picture, a motif of many corners, an instant at either end of time. */
  const full = fc
    .record({
      layers: fc.integer({ min: 0, max: 24 }),
      photo: fc.boolean(),
      corners: fc.integer({ min: 3, max: 2000 }),
      rings: fc.integer({ min: 1, max: 8 }),
      updatedAt: fc.constantFrom(0, Date.UTC(1975, 0, 1), NOW, Date.UTC(2099, 11, 31, 23), Date.UTC(2199, 5, 1)),
    })
    .map(({ layers, photo, corners, rings, updatedAt }): Piece => {
      const piece = readyPiece();
      const ring = Array.from({ length: corners }, (_, i) => ({ x: i / corners, y: (i % 7) / 7 }));
      return {
        ...piece,
        updatedAt,
        picture: {
          ...piece.picture,
          layers: Array.from({ length: layers }, (_, i) => ({
            id: `layer-${i}`,
            kind: 'picture',
            mode: 'transfer',
            pictureId: `layered-${i}`,
            crop: piece.picture.crop,
            box: { xMm: 0, yMm: 0, widthMm: 10, heightMm: 10 },
          })),
        },
        sheet: { ...piece.sheet, motif: { ...MOTIF, rings: Array.from({ length: rings }, () => ring) } },
        keep: { ...piece.keep, photoId: photo ? 'photo' : null },
      };
    });

  it('of whatever a piece can hold comes back as it went', async () => {
    const picture = await bundled();
    await fc.assert(
      fc.asyncProperty(full, async (piece) => {
        expect(checkPiece(piece)).toMatchObject({ ok: true });
        const pictures = picturesOf(piece).map((id) => ({ ...picture, record: { ...picture.record, id } }));
        expect(await openBundle(await written(piece, pictures))).toEqual({ ok: true, value: { piece, pictures } });
      }),
      { numRuns: 25 },
    );
  });

  it('opens without the pictures that could not be found', async () => {
    const whole = readyPiece();
    const piece = { ...whole, keep: { ...whole.keep, photoId: 'lost' } };
    expect(await openBundle(await written(piece, [await bundled()]))).toMatchObject({
      ok: true,
      value: { piece: { picture: { pictureId: 'picture-1' }, keep: { photoId: null } } },
    });
    expect(await openBundle(await written(piece, []))).toMatchObject({
      ok: true,
      value: { piece: { picture: { pictureId: null }, keep: { photoId: null } }, pictures: [] },
    });
  });
});

describe('the calendar file', () => {
  const entries = [
    {
      id: 'piece-1-rub-likely',
      title: 'Route map: start rubbing',
      description: 'Check the sign; first, look',
      startsAt: NOW + MS_PER_MINUTE,
      minutes: 9,
    },
    {
      id: 'piece-1-seal-coat-2',
      title: 'Ünder; glass, “quoted”',
      description: '',
      startsAt: Date.UTC(2026, 2, 29, 0, 30),
      minutes: 15,
    },
  ];
  it('folds its lines at 75 octets, and escapes what an alarm says as well', () => {
    const [entry] = entries;
    const title = 'Überlange Tafel „Wrenfold; Halt“, 駅の看板 mit vielen Worten, die in keine Zeile passen; noch mehr';
    const text = writeCalendar([{ ...entry, title, description: title.repeat(3) }], 1, NOW);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const unfolded = text.replace(/\r\n[ \t]/g, '');
    const alarm = unfolded.slice(unfolded.indexOf('BEGIN:VALARM'), unfolded.indexOf('END:VALARM'));
    expect(alarm).toContain('Wrenfold\\; Halt“\\, 駅');
  });
  it('keeps a carriage return in a name out of its lines', () => {
    const [entry] = entries;
    const text = writeCalendar([{ ...entry, title: 'Map\rEND:VCALENDAR', description: 'a\r\nb\rc' }], 1, NOW);
    expect(text.replace(/\r\n/g, '')).not.toContain('\r');
    expect(text.match(/^END:VCALENDAR/gm)).toHaveLength(1);
    expect(text).toContain('SUMMARY:Map END:VCALENDAR');
  });
  const read = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((event) => new ICAL.Event(event));

  it('is read by another reader: times, words, alarm', () => {
    const events = read(writeCalendar(entries, 4, NOW));
    expect(events.map((event) => event.startDate.toJSDate().getTime())).toEqual(
      entries.map((entry) => Math.floor(entry.startsAt / MS_PER_MINUTE) * MS_PER_MINUTE),
    );
    expect(events.map((event) => event.summary)).toEqual(entries.map((entry) => entry.title));
    expect(events[0].description).toBe('Check the sign; first, look');
    expect(events[0].duration.toSeconds()).toBe(9 * 60);
    expect(events[0].component.getAllSubcomponents('valarm')).toHaveLength(1);
  });

  it('keeps its ids, so that a second import updates', () => {
    const [first, second] = [
      read(writeCalendar(entries, 4, NOW)),
      read(writeCalendar([{ ...entries[0], startsAt: NOW + MS_PER_HOUR }], 5, NOW)),
    ];
    expect(second[0].uid).toBe(first[0].uid);
    expect(second[0].sequence).toBeGreaterThan(first[0].sequence);
  });
});
