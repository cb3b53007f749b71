import type { MaterialNeed } from '@/features/agenda';
import { Note, Part, useUnits } from '@/ui';
import css from './stash.module.css';
import { say } from '@/words/say';
import { remarks, counted } from '@/words';

/** What the planned pieces still take, against what is left. */
export function NeedsList({ needs }: { needs: readonly MaterialNeed[] }) {
  const units = useUnits();
  const amount = (value: number, kind: MaterialNeed['kind']) =>
    kind === 'paper' ? counted(Math.ceil(value), 'sheet', 'sheets') : units.volume(value);
  return (
    <Part title={say`For the planned pieces`}>
      {needs.length === 0 && <Note>{say`Nothing.`}</Note>}
      <ul className={css.list}>
        {needs.map(({ kind, material, name, needed, left, lacking, buy, pieces }) => (
          <li key={`${kind} ${material}`} data-testid="need">
            <b>{name}</b>
            <span>
              {remarks(
                say`${amount(needed, kind)} for ${pieces.length === 1 ? pieces[0] : counted(pieces.length, 'piece', 'pieces')}`,
                left === null ? say`none is counted` : say`${amount(left, kind)} left`,
              )}
            </span>
            {lacking > 0 && (
              <span className={css.buy}>
                {buy
                  ? buy.count === 1
                    ? say`Buy a bottle of ${units.volume(buy.ml)}`
                    : say`Buy ${buy.count} bottles of ${units.volume(buy.ml)}`
                  : say`Get ${amount(lacking, kind)} more`}
              </span>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}
