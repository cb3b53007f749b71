'use client';
import { IconButton } from '@mui/material';
import { Keyboard, Moon, Sun, SunMoon } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { MS_PER_HOUR } from '@/core/shared';
import { useNow, dated } from '@/ui';
import { RoomReading } from '@/features/at-hand';
import { useDemo } from './demo';
import { PLACES } from './places';
import { useSettings } from './settings';
import { useNewPiece } from '@/features/shelf';
import css from './top-bar.module.css';

const THEMES = {
  auto: { next: 'light', icon: SunMoon, words: 'as the system' },
  light: { next: 'dark', icon: Sun, words: 'light' },
  dark: { next: 'auto', icon: Moon, words: 'dark' },
} as const;
const KeysDialog = dynamic(() => import('./keys-dialog').then((file) => file.KeysDialog), { ssr: false });

export function TopBar() {
  const path = usePathname();
  const { settings, change } = useSettings();
  const [keysOpen, setKeysOpen] = useState(false);
  const newPiece = useNewPiece();
  const flipUnits = () => change({ unitSystem: settings.unitSystem === 'inch' ? 'metric' : 'inch' });
  useHotkeys('u', flipUnits, [settings]);
  const router = useRouter();
  useHotkeys('b', () => router.push('/bench'), [router]);
  useHotkeys('n', () => void newPiece(), { preventDefault: true }, [newPiece]);
  useHotkeys('shift+/, ?', () => setKeysOpen(true), { useKey: true });
  const theme = THEMES[settings.theme];
  const ThemeIcon = theme.icon;
  return (
    <header className={css.bar}>
      <Link href="/" className={css.name} aria-label="Fobbet, to today">
        Fobbet
      </Link>
      <nav aria-label="Places" className={css.places}>
        {PLACES.map(({ href, name }) => (
          <Link key={href} href={href} aria-current={path === href ? 'page' : undefined}>
            {name}
          </Link>
        ))}
      </nav>
      <div className={css.tools}>
        <RoomReading />
        <ClockReading />
        <button
          title="Units (U)"
          className={css.units}
          onClick={flipUnits}
          aria-label={`Units: ${settings.unitSystem === 'inch' ? 'inches' : 'centimetres'}. Change`}
        >
          <span data-on={settings.unitSystem === 'metric'}>cm</span>
          <span data-on={settings.unitSystem === 'inch'}>in</span>
        </button>
        <IconButton
          title={`Light: ${theme.words}`}
          size="small"
          aria-label={`Light: ${theme.words}. Change`}
          onClick={() => change({ theme: theme.next })}
        >
          <ThemeIcon size={18} />
        </IconButton>
        <IconButton
          title="Keys (?)"
          size="small"
          aria-label="Keys"
          onClick={() => setKeysOpen(true)}
          className={css.keysButton}
        >
          <Keyboard size={18} />
        </IconButton>
      </div>
      {keysOpen && <KeysDialog onClose={() => setKeysOpen(false)} />}
    </header>
  );
}

/** The time; on a demo server it can be moved ahead, so that a day of waiting passes in a moment. */
function ClockReading() {
  const now = useNow(10_000);
  const { demo } = useDemo();
  const { settings, change } = useSettings();
  const ahead = (hours: number) => change({ clockAheadMs: settings.clockAheadMs + hours * MS_PER_HOUR });
  return (
    <span className={css.clock} suppressHydrationWarning>
      {dated(now, 'EEE d MMM HH:mm')}
      {demo && (
        <>
          <button title="Demo clock: an hour ahead" onClick={() => ahead(1)} data-testid="clock-hour">
            +1 h
          </button>
          <button title="Demo clock: eight hours ahead" onClick={() => ahead(8)}>
            +8 h
          </button>
          {settings.clockAheadMs > 0 && (
            <button title="Demo clock: back to now" onClick={() => change({ clockAheadMs: 0 })}>
              now
            </button>
          )}
        </>
      )}
    </span>
  );
}
