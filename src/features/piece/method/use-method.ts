import { threeWays, type Candidate, type Way } from '@/core/method';
import { BINDER_WORDS, SCHOOL_NAMES } from '@/words';
import { useOpenPiece } from '../piece-context';

export interface Method {
  chosen: Candidate | null;
  best: Candidate | undefined;
  /** The best and two that trade its points for something else. */
  ways: readonly Way[];
  /** What works besides them. */
  others: readonly Candidate[];
  refused: readonly Candidate[];
  choose: (candidate: Candidate) => void;
}

/** The ways of moving the open piece's picture, ranked. */
export function useMethod(): Method {
  const { plan, change } = useOpenPiece();
  const { candidates, chosen } = plan.method;
  const usable = candidates.filter(({ verdict }) => verdict !== 'refused');
  const ways = threeWays(usable, chosen);
  return {
    chosen,
    best: usable[0],
    ways,
    others: usable.filter((one) => ways.every(({ candidate }) => candidate !== one)),
    refused: candidates.filter(({ verdict }) => verdict === 'refused'),
    choose: ({ school, binder }) =>
      change(
        'method',
        { school: school.id, binder: binder.id },
        `${BINDER_WORDS[binder.id].inText}, ${SCHOOL_NAMES[school.id].inText}`,
      ),
  };
}
