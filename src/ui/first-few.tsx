'use client';
import { useState, type ReactNode } from 'react';
import { say } from '@/words/say';
import { useReading } from './reading-context';
import { TextButton } from './text-button';

/** The first few of a long list, and all of it when asked for. */
export function FirstFew<T>({
  of,
  few,
  testId,
  children,
}: {
  of: readonly T[];
  few: number;
  testId?: string;
  children: (shown: readonly T[]) => ReactNode;
}) {
  const { unfolded } = useReading();
  const [asked, setAsked] = useState(false);
  const all = asked || unfolded;
  return (
    <>
      {children(all ? of : of.slice(0, few))}
      {!all && of.length > few && (
        <TextButton onClick={() => setAsked(true)} testId={testId}>{say`Show all ${of.length}`}</TextButton>
      )}
    </>
  );
}
