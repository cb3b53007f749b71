'use client';
import Link from 'next/link';
import { printPath } from '@/features/agenda';
import { usePutAway } from '@/features/agenda/use-put-away';
import type { PlannedPiece } from '@/features/plans';
import type { Piece } from '@/records';
import { TextButton } from '@/ui';
import { counted } from '@/words';
import { say } from '@/words/say';
import css from './pieces.module.css';
import type { Sought } from './sought';
import { useMakeSet } from './use-make-set';
import { useRemoveSeveral } from './use-remove-several';

/** What can be done with those that are chosen. */
export function SeveralBar({
  chosen,
  shelf,
  onAll,
  onDone,
}: {
  /** In the order in which they were chosen: a set is planned as its first. */
  chosen: readonly PlannedPiece[];
  shelf: Sought['shelf'];
  onAll: () => void;
  /** Something was done with them: none is chosen any more. */
  onDone: () => void;
}) {
  const { putAway } = usePutAway();
  const removeSeveral = useRemoveSeveral();
  const makeSet = useMakeSet();
  const pieces = chosen.map(({ piece }) => piece);
  const canBeSet = chosen.length > 1 && pieces.every(({ set }) => set === null) && shelf === 'here';
  const withThem = (act: (all: Piece[]) => Promise<unknown>) => () => {
    void act(pieces);
    onDone();
  };
  return (
    <div className={css.several} role="group" aria-label={say`With those chosen`} data-testid="several">
      <span>{say`${counted(chosen.length, 'piece', 'pieces')} chosen`}</span>
      <TextButton onClick={onAll}>{say`Choose all shown`}</TextButton>
      {chosen.length > 0 && shelf !== 'templates' && (
        <>
          <Link href={printPath(pieces)}>{say`Print together`}</Link>
          <TextButton testId="put-away" onClick={withThem((all) => putAway(all, shelf !== 'away'))}>
            {shelf === 'away' ? say`Take out again` : say`Put away`}
          </TextButton>
        </>
      )}
      {canBeSet && (
        <TextButton
          testId="make-several-a-set"
          onClick={withThem(makeSet)}
        >{say`Make them a set, planned as ${pieces[0]?.name}`}</TextButton>
      )}
      {chosen.length > 0 && (
        <TextButton testId="remove-several" onClick={withThem(removeSeveral)}>{say`Remove`}</TextButton>
      )}
    </div>
  );
}
