'use client';
import dynamic from 'next/dynamic';
import { useEffect, useRef, type ComponentProps } from 'react';
import type { PlanEntry } from '@/features/agenda';
import { Note, Part, dated } from '@/ui';
import { lowerFirst, stepTitle } from '@/words';
import type { ChosenStep as Chosen } from './chosen-step';
import css from './ahead.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const ChosenStep = dynamic(() => import('./chosen-step').then((file) => file.ChosenStep), { ssr: false });

/** The step that was chosen, or the steps of a group to choose from; until then, how one is chosen. */
export const StepPart = ({
  entry,
  group,
  onChoose,
  ...rest
}: Omit<ComponentProps<typeof Chosen>, 'entry'> & {
  entry: ComponentProps<typeof Chosen>['entry'] | null;
  group: readonly PlanEntry[];
  onChoose: (key: string) => void;
}) => (
  <Part title={say`A step`}>
    {entry ? (
      <ChosenStep key={entry.key} {...rest} entry={entry} />
    ) : group.length > 0 ? (
      <GroupList key={group[0]?.key} group={group} onChoose={onChoose} />
    ) : (
      <Note>{say`Choose a step in the timeline to pin it, put it off, or mark it done.`}</Note>
    )}
  </Part>
);

function GroupList({ group, onChoose }: { group: readonly PlanEntry[]; onChoose: (key: string) => void }) {
  const list = useRef<HTMLUListElement>(null);
  // Whoever pressed the block goes on here.
  useEffect(() => list.current?.querySelector('button')?.focus(), []);
  return (
    <ul className={css.group} ref={list} data-testid="step-group">
      {group.map(({ key, piece, step, startAt, minutes }) => (
        <li key={key}>
          <button
            type="button"
            data-key={key}
            onClick={() => onChoose(key)}
          >{sayWith`${(<b>{startAt === null ? '' : dated(startAt, 'EEE HH:mm')}</b>)} ${piece.name}:
            ${lowerFirst(stepTitle(step.title))}, ${minutes} min`}</button>
        </li>
      ))}
    </ul>
  );
}
