'use client';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, type ReactNode } from 'react';
import { RoomProvider, StashProvider } from '@/features/at-hand';
import { PlansProvider, ShelfProvider } from '@/features/shelf';
import { CureWatch, TimerProvider } from '@/features/timers';
import { database, tidy } from '@/storage';
import { ClockProvider, UnitsProvider } from '@/ui';
import { DemoProvider } from './demo';
import { Keeping } from './keeping';
import { NoticeProvider } from './notices';
import { SettingsProvider, useSettings } from './settings';
import { StorageGate } from './storage-gate';
import { TopBar } from './top-bar';
import { Unreadable } from './unreadable';

/**
 * What stands round every place: settings, clock, notices, what is at hand, all pieces with their plans, the top bar.
 */
export function Shell({ demo, children }: { demo: boolean; children: ReactNode }) {
  return (
    <StorageGate>
      <SettingsProvider>
        <Environment demo={demo}>{children}</Environment>
      </SettingsProvider>
    </StorageGate>
  );
}

function Environment({ demo, children }: { demo: boolean; children: ReactNode }) {
  useEffect(() => void tidy(database(), Date.now()), []);
  const { settings } = useSettings();
  const { setMode } = useColorScheme();
  useEffect(() => setMode(settings.theme === 'auto' ? 'system' : settings.theme), [settings.theme, setMode]);
  return (
    <ClockProvider aheadMs={settings.clockAheadMs}>
      <UnitsProvider value={settings.unitSystem}>
        <NoticeProvider>
          <ShelfProvider>
            <StashProvider>
              <PlansProvider>
                <DemoProvider demo={demo}>
                  <RoomProvider>
                    <TimerProvider>
                      <TopBar />
                      <Keeping />
                      <Unreadable />
                      <CureWatch />
                      {children}
                    </TimerProvider>
                  </RoomProvider>
                </DemoProvider>
              </PlansProvider>
            </StashProvider>
          </ShelfProvider>
        </NoticeProvider>
      </UnitsProvider>
    </ClockProvider>
  );
}
