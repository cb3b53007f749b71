'use client';
import type { WaitRule } from '@/core/cure';
import { Note } from '@/ui';
import { SIGNS_OF_TIME } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useCoated } from './use-coated';

const RULES: Readonly<Record<WaitRule, string>> = {
  sign: say`By the sign: rub once it is evenly opaque, no patch feels cool, and a corner will not lift.`,
  clock: say`By the clock: the full time, always.`,
  'clock-floor': say`By the clock: this gel or glue allows no shortcut, however warm and dry the room.`,
  label: say`By your own figure.`,
  oven: say`By the oven: when its time is over and the piece has cooled.`,
  soak: say`A bath: as long as it is, whatever the room is like.`,
  cool: say`It cools to the hand before it is touched again.`,
  open: say`It dries in open air.`,
  none: '',
};

/** What ends the wait: a sign, a clock, a label, an oven. */
export function RuleNote() {
  const { plan } = useOpenPiece();
  const { wait } = plan.cure;
  const { school } = plan.method;
  const coated = useCoated();
  if (!wait || wait.safeHours === 0) return null;
  const hasOwnSign = wait.rule === 'sign' || !coated;
  return <Note>{hasOwnSign && school?.sign ? SIGNS_OF_TIME[school.sign] : RULES[wait.rule]}</Note>;
}
