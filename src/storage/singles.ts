import { EMPTY_STASH, readAgenda, readRoom, readStash, type Agenda, type RoomRecord, type Stash } from '@/records';
import { MOST_READINGS } from '@/records/room';
import type { AirReading } from '@/core/cure';
import type { FobbetDatabase } from './db';

/** Records of which there is one: read with what is missing filled in, changed in a transaction so that two windows don't overwrite each other. */
export const storedAgenda = async (db: FobbetDatabase): Promise<Agenda> => readAgenda(await db.agenda.get('agenda'));
export const storedRoom = async (db: FobbetDatabase): Promise<RoomRecord> => readRoom(await db.room.get('room'));
export const storedStash = async (db: FobbetDatabase): Promise<Stash> => { const data = await db.stash.get('stash'); return data ? readStash(data) : EMPTY_STASH; };

export const changeAgenda = (db: FobbetDatabase, alter: (agenda: Agenda) => Partial<Agenda>): Promise<void> =>
  db.transaction('rw', db.agenda, async () => { const agenda = await storedAgenda(db); await db.agenda.put({ ...agenda, ...alter(agenda) }); });
export const changeRoom = (db: FobbetDatabase, alter: (room: RoomRecord) => Partial<RoomRecord>): Promise<void> =>
  db.transaction('rw', db.room, async () => { const room = await storedRoom(db); await db.room.put({ ...room, ...alter(room) }); });
export const changeStash = (db: FobbetDatabase, alter: (stash: Stash) => Partial<Stash>): Promise<void> =>
  db.transaction('rw', db.stash, async () => { const stash = await storedStash(db); await db.stash.put({ ...stash, ...alter(stash) }); });

const STRETCH_MS = 10 * 60_000;

/** Keeps one reading for each ten minutes, the oldest forgotten after three weeks. */
export const keepReadings = (kept: readonly AirReading[], fresh: readonly AirReading[]): AirReading[] => {
  const byStretch = new Map(kept.map((reading) => [Math.floor(reading.at / STRETCH_MS), reading]));
  for (const reading of fresh) if (!byStretch.has(Math.floor(reading.at / STRETCH_MS))) byStretch.set(Math.floor(reading.at / STRETCH_MS), reading);
  return [...byStretch.values()].sort((a, b) => a.at - b.at).slice(-MOST_READINGS);
};

export const keepReading = (db: FobbetDatabase, fresh: readonly AirReading[]): Promise<void> => changeRoom(db, ({ readings }) => ({ readings: keepReadings(readings, fresh) }));
