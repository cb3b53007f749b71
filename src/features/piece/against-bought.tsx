import { runSteps } from '@/core/plan';
import { sum } from '@/core/shared';
import { Fields, Note, PriceField } from '@/ui';
import { boughtWords } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from './piece-context';

/** What a bought one like it costs, against what this one costs and the hours of hands in it: at Method and at Keep. */
export function AgainstBought({ at }: { at: 'method' | 'keep' }) {
  const { piece, plan, change } = useOpenPiece();
  const { boughtPrice } = piece.keep;
  const { total, lines, unknown } = plan.keep.cost;
  const minutes = sum(runSteps(piece, plan).map(({ handsMinutes }) => handsMinutes));
  return (
    <>
      <Fields>
        <PriceField
          label={say`A bought one like it costs`}
          value={boughtPrice}
          onCommit={(price) => change('keep', { boughtPrice: price }, say`price of a bought one`)}
          testId={`bought-${at}`}
        />
      </Fields>
      {boughtPrice !== null && minutes > 0 && (
        <Note>
          {boughtWords({ boughtPrice, total: lines.length > 0 ? total : null, isWhole: unknown.length === 0, minutes })}
        </Note>
      )}
    </>
  );
}
