'use client';
import { AlarmClockPlus, Contrast, Megaphone, MegaphoneOff, Volume2, VolumeX, X } from 'lucide-react';
import Link from 'next/link';
import { useSettings } from '@/features/shell';
import css from './bench.module.css';
import { say } from '@/words/say';

export interface Quick {
  quick: boolean;
  onQuick: () => void;
}

/** What is under way at the bench, and what is pressed at any card. */
export function Head({ title, name, quick, onQuick }: { title: string; name: string } & Quick) {
  const { settings, change } = useSettings();
  const Sound = settings.sound ? Volume2 : VolumeX;
  const Speech = settings.speech ? Megaphone : MegaphoneOff;
  return (
    <header className={css.head}>
      <div>
        <h1>{title}</h1>
        <p>{name}</p>
      </div>
      <nav aria-label={say`Bench`}>
        <button
          type="button"
          onClick={onQuick}
          aria-pressed={quick}
          aria-label={say`A timer of your own`}
          data-testid="quick-timers"
        >
          <AlarmClockPlus />
        </button>
        <button
          type="button"
          onClick={() => change({ benchContrast: !settings.benchContrast })}
          aria-pressed={settings.benchContrast}
          aria-label={say`High contrast`}
        >
          <Contrast />
        </button>
        <button
          type="button"
          onClick={() => change({ sound: !settings.sound })}
          aria-pressed={settings.sound}
          aria-label={say`Tone when time is up`}
        >
          <Sound />
        </button>
        <button
          type="button"
          onClick={() => change({ speech: !settings.speech })}
          aria-pressed={settings.speech}
          aria-label={say`Read aloud`}
        >
          <Speech />
        </button>
        <Link href="/" aria-label={say`Leave the bench`}>
          <X />
        </Link>
      </nav>
    </header>
  );
}
