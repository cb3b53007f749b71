'use client';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, type ReactNode } from 'react';
import { database, tidy } from '@/storage';
import { ClockProvider, UnitsProvider } from '@/ui';
import { DemoProvider } from './demo';
import { CureWatch } from './cure-watch';
import { NoticeProvider } from './notices';
import { SettingsProvider, useSettings } from './settings';
import { RoomProvider } from './room';
import { TimerProvider } from './timers';
import { TopBar } from './top-bar';
import { StashProvider } from './use-stash';

/** What stands round every place: settings, clock, notices, the top bar. */
export function Shell({ demo, children }: { demo: boolean; children: ReactNode }) {
  useEffect(() => void tidy(database(), Date.now()), []);
  return (
    <SettingsProvider>
      <Environment demo={demo}>{children}</Environment>
    </SettingsProvider>
  );
}

function Environment({ demo, children }: { demo: boolean; children: ReactNode }) {
  const { settings } = useSettings();
  const { setMode } = useColorScheme();
  useEffect(() => setMode(settings.theme === 'auto' ? 'system' : settings.theme), [settings.theme, setMode]);
  return (
    <ClockProvider aheadMs={settings.clockAheadMs}>
      <UnitsProvider value={settings.unitSystem}>
        <NoticeProvider>
          <StashProvider>
            <DemoProvider demo={demo}>
              <RoomProvider>
                <TimerProvider>
                  <TopBar />
                  <CureWatch />
                  {children}
                </TimerProvider>
              </RoomProvider>
            </DemoProvider>
          </StashProvider>
        </NoticeProvider>
      </UnitsProvider>
    </ClockProvider>
  );
}
