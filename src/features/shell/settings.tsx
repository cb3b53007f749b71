'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useCallback, useContext, useMemo, type ReactNode } from 'react';
import { DEFAULT_SETTINGS, readSettings, type Settings } from '@/records';
import { database } from '@/storage';

interface SettingsAccess { settings: Settings; change: (patch: Partial<Omit<Settings, 'id'>>) => void }

const SettingsContext = createContext<SettingsAccess>({ settings: DEFAULT_SETTINGS, change: () => undefined });
export const useSettings = (): SettingsAccess => useContext(SettingsContext);

const INCH_REGIONS = /-(US|LR|MM)$/;

/** The machine's language decides the units until the person does. */
const firstSettings = (): Settings => ({ ...DEFAULT_SETTINGS, unitSystem: INCH_REGIONS.test(navigator.language) ? 'inch' : 'metric' });

/** Gives the stored settings to all below; nothing is shown until they are read. */
export function SettingsProvider({ children }: { children: ReactNode }) {
  const settings = useLiveQuery(async () => {
    const stored = await database().settings.get('settings');
    return stored ? readSettings(stored) : firstSettings();
  });
  const change = useCallback((patch: Partial<Omit<Settings, 'id'>>) => {
    if (settings) void database().settings.put({ ...settings, ...patch });
  }, [settings]);
  const access = useMemo(() => settings && { settings, change }, [settings, change]);
  return access ? <SettingsContext.Provider value={access}>{children}</SettingsContext.Provider> : null;
}
