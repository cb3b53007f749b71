'use client';
import { Button, Input } from '@mui/material';
import { useEffect, useMemo, useState } from 'react';
import { Answer, Place, Unbroken } from '@/ui';
import { counted } from '@/words';
import { helpTopics, searchHelp, type HelpTopic } from '@/words/help';
import css from './help.module.css';
import { say } from '@/words/say';

const KINDS: readonly { kind: HelpTopic['kind']; title: string }[] = [
  { kind: 'working', title: say`How it is worked out` },
  { kind: 'word', title: say`Words of the craft` },
  { kind: 'caution', title: say`What to mind` },
];

/** All there is to read, with one search over it; printed it is a booklet. */
export function HelpPage() {
  const topics = useMemo(() => helpTopics(), []);
  const [sought, setSought] = useState('');
  const found = useMemo(() => searchHelp(topics, sought), [topics, sought]);
  useEffect(() => {
    const target = document.getElementById(window.location.hash.slice(1));
    target?.scrollIntoView();
    target?.focus();
  }, []);
  return (
    <Place className={css.page} title={say`Help`}>
      <div className={css.head}>
        <Answer>{answer()}</Answer>
        <Input
          type="search"
          value={sought}
          placeholder={say`haze, time to lay …`}
          onChange={(event) => setSought(event.target.value)}
          slotProps={{ input: { 'aria-label': say`Find in the help`, 'data-testid': 'help-search' } as object }}
        />
        <Button variant="outlined" onClick={() => window.print()}>{say`Print it as a booklet`}</Button>
      </div>
      {KINDS.map(({ kind, title }) => {
        const own = found.filter((topic) => topic.kind === kind);
        if (own.length === 0) return null;
        return (
          <section key={kind} className={css.kind} data-kind={kind}>
            <h2>{title}</h2>
            <dl>
              {own.map((topic) => (
                <div key={topic.id} id={topic.id} tabIndex={-1} data-testid="topic">
                  <dt>{topic.title}</dt>
                  {topic.text.map((text) => (
                    <dd key={text}>
                      <Unbroken>{text}</Unbroken>
                    </dd>
                  ))}
                </div>
              ))}
            </dl>
          </section>
        );
      })}
    </Place>
  );

  function answer(): string {
    if (sought.trim() === '') return say`What the words mean, and how each answer is worked out.`;
    if (found.length === 0) return say`Nothing here speaks of “${sought.trim()}”.`;
    return say`${counted(found.length, 'place speaks', 'places speak')} of “${sought.trim()}”.`;
  }
}
