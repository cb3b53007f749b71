import { ok, type Result } from '@/core/shared';
import { DEMO_AGENDA, DEMO_PICTURES, DEMO_ROOM, demoPieces, demoStash, type DemoPicture } from '@/demo/scenario';
import type { SaveCode, Settings, SingleCode, StoredPicture } from '@/records';
import { addPieces, changeAgenda, changeStash, database } from '@/storage';
import { inspectPicture } from '@/workers/picture/client';
import { storedFrom } from './stored-from';

async function readDemoPicture({ id, file, name }: DemoPicture): Promise<StoredPicture> {
  const response = await fetch(`/demo/${file}`);
  if (!response.ok) throw new Error(`demo picture ${file}: ${response.status}`);
  const blob = await response.blob();
  const inspected = await inspectPicture(blob, (preview) => preview.close()).done;
  if (!inspected?.ok) throw new Error(`demo picture ${file} can't be read`);
  return storedFrom(inspected.value, { id, name, bytes: blob.size });
}

/** The example pieces, with its shelf and hours where the person has none. @returns the example's room */
export async function loadExample(clock: () => number): Promise<Result<Settings['room'], SaveCode | SingleCode>> {
  const pictures = await Promise.all(DEMO_PICTURES.map(readDemoPicture));
  const stash = await changeStash(database(), ({ items }) => (items.length === 0 ? demoStash(clock()) : {}), {
    remembered: false,
  });
  if (!stash.ok) return stash;
  if ((await database().agenda.count()) === 0) {
    const agenda = await changeAgenda(database(), () => DEMO_AGENDA, { remembered: false });
    if (!agenda.ok) return agenda;
  }
  const added = await addPieces(database(), demoPieces(clock()), pictures);
  return added.ok ? ok(DEMO_ROOM) : added;
}
