'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, FormControlLabel, Switch } from '@mui/material';
import { useState } from 'react';
import { DEFAULT_SETTINGS, KEY_IDS, type KeyId, type Settings } from '@/records';
import { ChoiceField, clockTime, useNow } from '@/ui';
import { KEY_WORDS } from '@/words';
import { useSaidNotices } from '@/features/shell/notices';
import { useSettings } from '@/features/shell/settings';
import css from './keys-dialog.module.css';
import { say } from '@/words/say';

const FIXED: readonly [string, string][] = [
  ['1 … 9, 0', say`the ten stations of a piece`],
  ['← →', say`at the bench: step before, step after`],
  ['Space', say`at the bench: start, stop`],
  ['+ −', say`in Ahead: nearer, farther`],
  [say`Ctrl Z`, say`undo`],
  [say`Ctrl Shift Z`, say`redo`],
];
const STANDS: { id: Settings['notices']; name: string }[] = [
  { id: 'short', name: '7 s' },
  { id: 'long', name: '20 s' },
  { id: 'stay', name: say`Until closed` },
];

/** What each person sets for eyes and hands: contrast, open parts, notices, keys; and what was said so far. */
export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Dialog open onClose={onClose} aria-labelledby="keys-title" scroll="paper">
    <DialogTitle component="h2" id="keys-title">{say`Keys and reading`}</DialogTitle>
    <DialogContent className={css.body ?? ''}>
      <Reading />
      <Keys />
      <SaidSoFar />
    </DialogContent>
    <DialogActions>
      <Button onClick={onClose}>{say`Close`}</Button>
    </DialogActions>
  </Dialog>
);

const Toggle = ({
  name,
  is,
  onSet,
  testId,
}: {
  name: string;
  is: boolean;
  onSet: (is: boolean) => void;
  testId: string;
}) => (
  <FormControlLabel
    control={
      <Switch
        checked={is}
        onChange={(_, next) => onSet(next)}
        slotProps={{ input: { 'data-testid': testId } as object }}
      />
    }
    label={name}
  />
);

function Reading() {
  const { settings, change } = useSettings();
  return (
    <section>
      <h3>{say`Reading`}</h3>
      <Toggle
        name={say`More contrast`}
        is={settings.contrast}
        onSet={(contrast) => change({ contrast })}
        testId="more-contrast"
      />
      <Toggle
        name={say`Every part of a worksheet open`}
        is={settings.unfolded}
        onSet={(unfolded) => change({ unfolded })}
        testId="unfolded"
      />
      <ChoiceField
        label={say`A notice stands`}
        value={settings.notices}
        options={STANDS}
        onCommit={(notices) => change({ notices })}
      />
    </section>
  );
}

function Keys() {
  const { settings, change } = useSettings();
  // As they are set here: two set one after the other are both kept, whatever storing takes.
  const [keys, setKeys] = useState(settings.keys);
  const [refused, setRefused] = useState<string | null>(null);
  const keep = (next: Settings['keys'], more: Partial<Settings> = {}) => {
    setRefused(null);
    setKeys(next);
    change({ keys: next, ...more });
  };
  const setKey = (id: KeyId, typed: string) => {
    const key = [...typed.trim().toLowerCase()].at(-1) ?? '';
    const taken = key !== '' && KEY_IDS.find((other) => other !== id && keys[other] === key);
    if (/\d/.test(key)) return setRefused(say`Digits open the stations: take another key.`);
    if (taken) return setRefused(say`“${key}” is taken: ${KEY_WORDS[taken]}. Clear it there first.`);
    keep({ ...keys, [id]: key });
  };
  return (
    <section>
      <h3>{say`Keys`}</h3>
      <Toggle
        name={say`Single keys act`}
        is={settings.keysOn}
        onSet={(keysOn) => change({ keysOn })}
        testId="keys-on"
      />
      <ul className={css.keys}>
        {KEY_IDS.map((id) => (
          <li key={id}>
            <input
              aria-label={say`Key: ${KEY_WORDS[id]}`}
              value={keys[id].toUpperCase()}
              disabled={!settings.keysOn}
              onChange={(event) => setKey(id, event.target.value)}
              onFocus={(event) => event.target.select()}
              data-testid={`key-${id}`}
            />
            <span>{KEY_WORDS[id]}</span>
          </li>
        ))}
        {FIXED.map(([key, words]) => (
          <li key={key}>
            <kbd>{key}</kbd>
            <span>{words}</span>
          </li>
        ))}
      </ul>
      {refused && <p role="alert">{refused}</p>}
      <Button
        size="small"
        onClick={() => keep(DEFAULT_SETTINGS.keys, { keysOn: true })}
      >{say`Keys as they came`}</Button>
    </section>
  );
}

function SaidSoFar() {
  const said = useSaidNotices();
  const now = useNow();
  return (
    <section>
      <h3>{say`Said so far`}</h3>
      {said.length === 0 && <p>{say`Nothing yet.`}</p>}
      <ul className={css.said} data-testid="said">
        {said.map(({ id, at, text, action }) => (
          <li key={id}>
            <small>{clockTime(at, now)}</small> {text}
            {action && (
              <Button size="small" onClick={action.run}>
                {action.label}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
