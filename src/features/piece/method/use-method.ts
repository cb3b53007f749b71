import { threeWays, type Candidate, type Way } from '@/core/method';
import { BINDER_WORDS, SCHOOL_NAMES } from '@/words';
import { useStash } from '@/features/at-hand';
import { useOpenPiece } from '../piece-context';

export interface Method {
  /** Nobody said what prints: nothing is ranked before. */
  asksPrinter: boolean;
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
  const { piece, plan, change } = useOpenPiece();
  const { stash, known } = useStash();
  const { candidates, chosen } = plan.method;
  const usable = candidates.filter(({ verdict }) => verdict !== 'refused');
  const ways = threeWays(usable, chosen);
  return {
    asksPrinter: candidates.length > 0 && !chosen && piece.method.print === null && known && stash.printer === null,
    chosen,
    best: usable[0],
    ways,
    others: usable.filter((one) => ways.every(({ candidate }) => candidate !== one)),
    refused: candidates.filter(({ verdict }) => verdict === 'refused'),
    choose: ({ school, binder }) =>
      change(
        'method',
        { school: school.id, binder: binder.id, print: plan.method.printKind.id },
        `${BINDER_WORDS[binder.id].inText}, ${SCHOOL_NAMES[school.id].inText}`,
      ),
  };
}
