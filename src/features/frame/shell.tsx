'use client';
import { useColorScheme } from '@mui/material/styles';
import { useEffect, type ReactNode } from 'react';
import { RoomProvider, StashProvider } from '@/features/at-hand';
import { PlansProvider } from '@/features/plans';
import { ShelfProvider } from '@/features/shelf';
import { ClockQuestion, CureWatch, TimeWatch, TimerProvider } from '@/features/timers';
import { database, tidy } from '@/storage';
import { ClockProvider, ReadingProvider, UnitsProvider } from '@/ui';
import { DemoProvider } from '@/features/shell/demo';
import { IntakeZone } from '@/features/intake/intake-zone';
import { FocusMoves } from './focus-moves';
import { Keeping } from './keeping';
import { NoticeProvider } from '@/features/shell/notices';
import { SettingsProvider, useSettings } from '@/features/shell/settings';
import { StorageGate } from './storage-gate';
import { TopBar } from './top-bar';
import { UnkeptQuestion } from './unkept-question';
import { Unreadable } from './unreadable';
import { say } from '@/words/say';

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
  useEffect(() => {
    document.documentElement.dataset.more = settings.contrast ? 'contrast' : '';
  }, [settings.contrast]);
  useEffect(() => setMode(settings.theme === 'auto' ? 'system' : settings.theme), [settings.theme, setMode]);
  return (
    <ClockProvider aheadMs={settings.clockAheadMs}>
      <UnitsProvider value={settings.unitSystem}>
        <ReadingProvider value={settings}>
          <NoticeProvider>
            <ShelfProvider>
              <StashProvider>
                <PlansProvider>
                  <DemoProvider demo={demo}>
                    <RoomProvider>
                      <TimeWatch>
                        <TimerProvider>
                          <a href="#main" className="skip">{say`To the content`}</a>
                          <FocusMoves />
                          <TopBar />
                          <Keeping />
                          <Unreadable />
                          <UnkeptQuestion />
                          <ClockQuestion />
                          <CureWatch />
                          <IntakeZone />
                          {children}
                        </TimerProvider>
                      </TimeWatch>
                    </RoomProvider>
                  </DemoProvider>
                </PlansProvider>
              </StashProvider>
            </ShelfProvider>
          </NoticeProvider>
        </ReadingProvider>
      </UnitsProvider>
    </ClockProvider>
  );
}
