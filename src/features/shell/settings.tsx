'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useCallback, useContext, useMemo, type ReactNode } from 'react';
import { fail, type Result } from '@/core/shared';
import { DEFAULT_SETTINGS, readSettings, type Settings, type SettingsCode } from '@/records';
import { changeSettings, database } from '@/storage';
import { useReport } from './use-report';

type Patch = Partial<Omit<Settings, 'id'>>;
interface SettingsAccess {
  settings: Settings;
  /** What could not be kept is said. */
  change: (patch: Patch) => void;
}
interface StoredAccess {
  settings: Settings;
  change: (patch: Patch) => Promise<Result<void, SettingsCode>>;
}

const SettingsContext = createContext<StoredAccess>({
  settings: DEFAULT_SETTINGS,
  change: () => Promise.resolve(fail('storage-failed', 'no settings are read yet')),
});

export function useSettings(): SettingsAccess {
  const { settings, change } = useContext(SettingsContext);
  const report = useReport();
  return useMemo(
    () => ({ settings, change: (patch: Patch) => void change(patch).then(report) }),
    [settings, change, report],
  );
}

const INCH_REGIONS = /-(US|LR|MM)$/;

/** The machine's language decides the units until the person does. */
const firstSettings = (): Settings => ({
  ...DEFAULT_SETTINGS,
  unitSystem: INCH_REGIONS.test(navigator.language) ? 'inch' : 'metric',
});

/** Gives the stored settings to all below; nothing is shown until they are read. */
export function SettingsProvider({ children }: { children: ReactNode }) {
  const settings = useLiveQuery(async () => {
    const stored = await database().settings.get('settings');
    return stored ? readSettings(stored) : firstSettings();
  });
  const change = useCallback<StoredAccess['change']>(
    (patch) => changeSettings(database(), settings ?? firstSettings(), patch),
    [settings],
  );
  const access = useMemo(() => settings && { settings, change }, [settings, change]);
  return access ? <SettingsContext.Provider value={access}>{children}</SettingsContext.Provider> : null;
}
