import { ok, type Result } from '@/core/shared';
import { checkSettings, type Settings, type SettingsCode, type StorageCode, type VersionsCode } from '@/records';
import type { FobbetDatabase } from './db';
import { written } from './failures';
import { rememberVersion, steppedVersion } from './versions';

/**
 * Lays a change over the stored settings; keys that this program doesn't know, or can't read, stay as they are.
 *
 * @param shown what holds where nothing is stored yet
 */
export async function changeSettings(
  db: FobbetDatabase,
  shown: Settings,
  patch: Partial<Omit<Settings, 'id'>>,
): Promise<Result<void, SettingsCode>> {
  const checked = checkSettings({ ...shown, ...patch });
  if (!checked.ok) return checked;
  return written(async () => {
    await db.transaction('rw', [db.settings, db.versions], async () => {
      const before = (await db.settings.get('settings')) ?? shown;
      const after = { ...before, ...patch };
      await rememberVersion(db, 'settings', { ...before }, { ...after });
      await db.settings.put(after);
    });
    return ok(undefined);
  });
}

/** Takes one change of the settings back, or does it again. @returns as `stepSingle` */
export async function stepSettings(
  db: FobbetDatabase,
  direction: 'undo' | 'redo',
  mark: number,
): Promise<Result<void, VersionsCode | StorageCode>> {
  return written(() =>
    db.transaction('rw', [db.settings, db.versions], async (): Promise<Result<void, VersionsCode>> => {
      const record = { ...(await db.settings.get('settings')) };
      const next = await steppedVersion(db, 'settings', direction, { mark, record });
      if (!next.ok) return next;
      await db.settings.put(next.value as unknown as Settings);
      return ok(undefined);
    }),
  );
}
