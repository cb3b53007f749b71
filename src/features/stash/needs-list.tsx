import type { MaterialNeed } from '@/features/agenda';
import { Note, Part, useUnits } from '@/ui';
import css from './stash.module.css';

/** What the planned pieces still take, against what is left. */
export function NeedsList({ needs }: { needs: readonly MaterialNeed[] }) {
  const units = useUnits();
  const amount = (value: number, kind: MaterialNeed['kind']) =>
    kind === 'paper' ? `${Math.ceil(value)} sheets` : units.volume(value);
  return (
    <Part title="For the planned pieces">
      {needs.length === 0 && <Note>Nothing.</Note>}
      <ul className={css.list}>
        {needs.map(({ kind, material, name, needed, left, lacking, buy, pieces }) => (
          <li key={`${kind} ${material}`} data-testid="need">
            <b>{name}</b>
            <span>
              {amount(needed, kind)} for {pieces.length === 1 ? pieces[0] : `${pieces.length} pieces`}
              {left === null ? '; none is counted' : `; ${amount(left, kind)} left`}
            </span>
            {lacking > 0 && (
              <span className={css.buy}>
                {buy
                  ? `Buy ${buy.count === 1 ? 'a bottle' : `${buy.count} bottles`} of ${units.volume(buy.ml)}`
                  : `Get ${amount(lacking, kind)} more`}
              </span>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}
