'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogContentText, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { openWaits, runSteps } from '@/core/plan';
import { MS_PER_HOUR } from '@/core/shared';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { FigureField, clockTime, longDate, useNow } from '@/ui';
import { say } from '@/words/say';
import { useTrueTime } from './time-watch';
import { isDoubtful } from './true-time';
import { isRunning, useTimers } from './timers';

interface Wait {
  name: string;
  fromAt: number;
  untilAt: number;
}

const waitsOf = ({ piece, plan }: PlannedPiece): Wait[] =>
  openWaits(runSteps(piece, plan)).map(({ fromAt, untilAt }) => ({
    name: piece.set?.name ?? piece.name,
    fromAt,
    untilAt,
  }));

/**
 * A wait that ended while nobody counted along – Fobbet closed, no server, a machine that was started anew – is asked
 * about: by the time of day alone a clock that was set ahead looks like hours that passed.
 */
export function ClockQuestion() {
  const { isHeld, gaps, answer } = useTrueTime();
  const { timers } = useTimers();
  const { planned } = usePlannedPieces();
  const now = useNow();
  const [asksHours, setAsksHours] = useState(false);
  const [hours, setHours] = useState<number | null>(null);
  if (!isHeld || gaps.length === 0) return null;
  const waits: Wait[] = [
    ...timers
      .filter(isRunning)
      .map(({ label, startedAt, endsAt }) => ({ name: label, fromAt: startedAt, untilAt: endsAt })),
    ...planned.flatMap(waitsOf),
  ];
  const doubtful = waits.filter((wait) => isDoubtful(wait, gaps, now));
  const [first] = doubtful;
  if (!first) return null;
  const names = [...new Set(doubtful.map(({ name }) => name))];
  const told = (setByMs: number) => {
    setAsksHours(false);
    void answer(setByMs);
  };
  return (
    <Dialog open data-testid="clock-question">
      <DialogTitle component="h2">{say`Is it ${clockTime(now, now)} on ${longDate(now)}?`}</DialogTitle>
      <DialogContent>
        <DialogContentText gutterBottom>
          {names.length === 1
            ? say`${first.name}: by this machine’s clock its wait is over.`
            : say`${first.name} and ${names.length - 1} more: by this machine’s clock their wait is over.`}{' '}
          {say`While Fobbet was closed nothing counted along, and a clock that was set ahead would look the same.`}
        </DialogContentText>
        {asksHours && (
          <FigureField
            label={say`Set ahead by, in hours`}
            hint={say`What waits goes on for so long.`}
            unit="h"
            min={0}
            max={10_000}
            value={hours}
            onCommit={setHours}
            testId="clock-hours"
          />
        )}
      </DialogContent>
      <DialogActions>
        {asksHours ? (
          <Button
            disabled={!hours}
            onClick={() => told((hours ?? 0) * MS_PER_HOUR)}
            data-testid="clock-set-ahead"
          >{say`Wait that much longer`}</Button>
        ) : (
          <Button onClick={() => setAsksHours(true)} data-testid="clock-wrong">{say`No, it was set ahead`}</Button>
        )}
        <Button
          variant="contained"
          onClick={() => told(0)}
          data-testid="clock-right"
        >{say`Yes, the clock is right`}</Button>
      </DialogActions>
    </Dialog>
  );
}
