import { ok, type Result } from '@/core/shared';
import { checkSettings, type Settings, type SettingsCode } from '@/records';
import type { FobbetDatabase } from './db';
import { written } from './failures';

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
    await db.transaction('rw', db.settings, async () => {
      const stored = await db.settings.get('settings');
      await db.settings.put({ ...(stored ?? shown), ...patch });
    });
    return ok(undefined);
  });
}
