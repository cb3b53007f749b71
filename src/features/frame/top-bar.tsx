'use client';
import { IconButton } from '@mui/material';
import { CircleQuestionMark, Moon, Settings2, Sun, SunMoon } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { FIND_HASH, FIND_PATH, PLACES } from '@/features/shell/places';
import { useSettings } from '@/features/shell/settings';
import { useShortcut } from '@/features/shell/use-shortcut';
import { useNewPiece } from '@/features/shelf';
import { NowReading } from './now-reading';
import css from './top-bar.module.css';
import { say } from '@/words/say';

const THEMES = {
  auto: { next: 'light', icon: SunMoon, words: say`as the system` },
  light: { next: 'dark', icon: Sun, words: say`light` },
  dark: { next: 'auto', icon: Moon, words: say`dark` },
} as const;
const KeysDialog = dynamic(() => import('./keys-dialog').then((file) => file.KeysDialog), { ssr: false });

const NAME = 'Fobbet';

/** What is below fills the rest of the screen, however many lines the bar takes. */
function measured(bar: HTMLElement | null) {
  if (!bar) return;
  const watch = new ResizeObserver(() =>
    document.documentElement.style.setProperty('--bar', `${Math.ceil(bar.getBoundingClientRect().height)}px`),
  );
  watch.observe(bar);
  return () => watch.disconnect();
}

export function TopBar() {
  const path = usePathname();
  const { settings, change } = useSettings();
  const [keysOpen, setKeysOpen] = useState(false);
  const newPiece = useNewPiece();
  const flipUnits = () => change({ unitSystem: settings.unitSystem === 'inch' ? 'metric' : 'inch' });
  useShortcut('units', flipUnits);
  const router = useRouter();
  useShortcut('bench', () => router.push('/bench'));
  // On the shelf its own field answers.
  useShortcut('find', () => path !== FIND_PATH && router.push(`${FIND_PATH}${FIND_HASH}`));
  useShortcut('newPiece', () => void newPiece());
  useShortcut('help', () => setKeysOpen(true));
  const theme = THEMES[settings.theme];
  const ThemeIcon = theme.icon;
  return (
    <header className={css.bar} ref={measured}>
      <Link href="/" className={css.name} aria-label={say`${NAME}, to today`}>
        {NAME}
      </Link>
      <nav aria-label={say`Places`} className={css.places}>
        {PLACES.map(({ href, name }) => (
          <Link key={href} href={href} aria-current={path === href ? 'page' : undefined}>
            {name}
          </Link>
        ))}
      </nav>
      <div className={css.tools}>
        <NowReading />
        <button
          title={say`Units (U)`}
          className={css.units}
          onClick={flipUnits}
          aria-label={
            settings.unitSystem === 'inch' ? say`cm in: units, in use: inches` : say`cm in: units, in use: centimetres`
          }
        >
          <span data-on={settings.unitSystem === 'metric'}>{say`cm`}</span>{' '}
          <span data-on={settings.unitSystem === 'inch'}>{say`in`}</span>
        </button>
        <IconButton
          title={say`Light: ${theme.words}`}
          size="small"
          aria-label={say`Light: ${theme.words}. Change`}
          onClick={() => change({ theme: theme.next })}
        >
          <ThemeIcon size={18} />
        </IconButton>
        <IconButton
          component={Link}
          href="/help"
          title={say`Help: words, and how it is worked out`}
          size="small"
          aria-label={say`Help`}
          aria-current={path === '/help' ? 'page' : undefined}
        >
          <CircleQuestionMark size={18} />
        </IconButton>
        <IconButton
          title={say`Keys and reading (?)`}
          size="small"
          aria-label={say`Keys and reading`}
          onClick={() => setKeysOpen(true)}
        >
          <Settings2 size={18} />
        </IconButton>
      </div>
      {keysOpen && <KeysDialog onClose={() => setKeysOpen(false)} />}
    </header>
  );
}
