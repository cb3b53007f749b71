'use client';
import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { Note, Part } from '@/ui';
import type { ChosenStep as Chosen } from './chosen-step';

const ChosenStep = dynamic(() => import('./chosen-step').then((file) => file.ChosenStep), { ssr: false });

/** The step that was chosen; until then, how one is. */
export const StepPart = ({
  entry,
  ...rest
}: Omit<ComponentProps<typeof Chosen>, 'entry'> & { entry: ComponentProps<typeof Chosen>['entry'] | null }) => (
  <Part title="A step">
    {entry ? (
      <ChosenStep {...rest} entry={entry} />
    ) : (
      <Note>Choose a step in the timeline to pin it, put it off, or mark it done.</Note>
    )}
  </Part>
);
