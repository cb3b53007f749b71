'use client';
import { Dialog, DialogContent, DialogTitle, IconButton, Tooltip } from '@mui/material';
import { Keyboard, Moon, Sun, SunMoon } from 'lucide-react';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { format } from 'date-fns';
import { useNow } from '@/ui';
import { RoomReading } from './room-reading';
import { useDemo } from './demo';
import { useSettings } from './settings';
import { useNewPiece } from './use-new-piece';
import css from './top-bar.module.css';

const PLACES = [{ href: '/', name: 'Today' }, { href: '/pieces', name: 'Pieces' }, { href: '/ahead', name: 'Ahead' }, { href: '/bench', name: 'Bench' }, { href: '/stash', name: 'Stash' }];
const THEMES = { auto: { next: 'light', icon: SunMoon, words: 'as the system' }, light: { next: 'dark', icon: Sun, words: 'light' }, dark: { next: 'auto', icon: Moon, words: 'dark' } } as const;
const KEYS: readonly [string, string][] = [
  ['1 … 9, 0', 'the ten stations of a piece'], ['M', 'turn over: as printed, as it lands'], ['U', 'inches or centimetres'], ['N', 'new piece'],
  ['B', 'bench'], ['/', 'find a piece'], ['← →', 'at the bench: step before, step after'], ['Space', 'at the bench: start, stop'], ['Ctrl Z', 'undo'], ['Ctrl Shift Z', 'redo'], ['?', 'these keys'],
];

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
      <Link href="/" className={css.name} aria-label="Fobbet, to today">Fobbet</Link>
      <nav aria-label="Places" className={css.places}>
        {PLACES.map(({ href, name }) => <Link key={href} href={href} aria-current={path === href ? 'page' : undefined}>{name}</Link>)}
      </nav>
      <div className={css.tools}>
        <RoomReading />
        <ClockReading />
        <Tooltip title="Units (U)"><button className={css.units} onClick={flipUnits} aria-label={`Units: ${settings.unitSystem === 'inch' ? 'inches' : 'centimetres'}. Change`}>
          <span data-on={settings.unitSystem === 'metric'}>cm</span><span data-on={settings.unitSystem === 'inch'}>in</span>
        </button></Tooltip>
        <Tooltip title={`Light: ${theme.words}`}><IconButton size="small" aria-label={`Light: ${theme.words}. Change`} onClick={() => change({ theme: theme.next })}><ThemeIcon size={18} /></IconButton></Tooltip>
        <Tooltip title="Keys (?)"><IconButton size="small" aria-label="Keys" onClick={() => setKeysOpen(true)} className={css.keysButton}><Keyboard size={18} /></IconButton></Tooltip>
      </div>
      <Dialog open={keysOpen} onClose={() => setKeysOpen(false)}>
        <DialogTitle component="h2">Keys</DialogTitle>
        <DialogContent>
          <dl className={css.keys}>{KEYS.map(([key, words]) => <div key={key}><dt><kbd>{key}</kbd></dt><dd>{words}</dd></div>)}</dl>
        </DialogContent>
      </Dialog>
    </header>
  );
}

const HOUR_MS = 3_600_000;

/** The time; on a demo server it can be moved ahead, so that a day of waiting passes in a moment. */
function ClockReading() {
  const now = useNow(10_000);
  const { demo } = useDemo();
  const { settings, change } = useSettings();
  const ahead = (hours: number) => change({ clockAheadMs: settings.clockAheadMs + hours * HOUR_MS });
  return (
    <span className={css.clock} suppressHydrationWarning>
      {format(now, 'EEE d MMM HH:mm')}
      {demo && (
        <>
          <Tooltip title="Demo clock: an hour ahead"><button onClick={() => ahead(1)} data-testid="clock-hour">+1 h</button></Tooltip>
          <Tooltip title="Demo clock: eight hours ahead"><button onClick={() => ahead(8)}>+8 h</button></Tooltip>
          {settings.clockAheadMs > 0 && <Tooltip title="Demo clock: back to now"><button onClick={() => change({ clockAheadMs: 0 })}>now</button></Tooltip>}
        </>
      )}
    </span>
  );
}
