'use client';
import { Button } from '@mui/material';
import { purposeOf } from '@/core/craft';
import { sealDatesOf } from '@/core/stations';
import { useNotice } from '@/features/shell';
import { NextRow, Part, WritingField, longDate, useClock } from '@/ui';
import { careLabel } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { saveCareCard } from './save-care-card';

/** The care label's text, computed until the person writes their own. */
export function CareLabel() {
  const { piece, plan, change, now } = useOpenPiece();
  const clock = useClock();
  const notice = useNotice();
  if (!plan.surface.record || !plan.method.binder) return null;
  const on = (at: number | null | undefined) => (at ? longDate(at) : null);
  const computed = careLabel({
    name: piece.name,
    surface: plan.surface.record,
    binder: plan.method.binder,
    sealer: plan.seal.sealing?.sealer ?? null,
    use: purposeOf(plan.surface.record, piece.seal.use),
    lightUseOn: on(plan.seal.clock?.lightUseAt),
    fullCureOn: on(plan.seal.clock?.fullCureAt),
    firstWashOn: on(sealDatesOf(piece, plan, now).find(({ code }) => code === 'first-wash')?.at),
  });
  const text = piece.keep.careText ?? computed;
  const copy = () =>
    void navigator.clipboard.writeText(text).then(
      () => notice({ text: say`The care label is copied.` }),
      () => notice({ text: say`The browser did not allow copying. Select the text and copy it.`, tone: 'error' }),
    );
  return (
    <Part title={say`Care label`} folded={piece.keep.careText === null ? say`as computed` : say`your words`}>
      <WritingField
        label={say`Care label`}
        shownLabel={false}
        value={text}
        mostCharacters={2000}
        onCommit={(careText) => change('keep', { careText }, say`care label`)}
        testId="care-label"
      />
      <NextRow apart>
        <Button size="small" variant="outlined" onClick={copy}>{say`Copy`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => void saveCareCard(piece, text, new Date(clock()))}
          data-testid="care-card"
        >{say`As a small card, PDF`}</Button>
        {piece.keep.careText !== null && (
          <Button
            size="small"
            onClick={() => change('keep', { careText: null }, say`care label as computed`)}
          >{say`Back to Fobbet’s text`}</Button>
        )}
      </NextRow>
    </Part>
  );
}
