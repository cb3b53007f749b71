import { Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { drawnFrom, leftOf } from '@/storage';
import type { Piece, StashItem } from '@/records';
import { ShareBar, useUnits, dated, TextButton, noonOf } from '@/ui';
import type { Wording } from '@/words';
import css from './stash.module.css';
import { say } from '@/words/say';
import { counted } from '@/words';

type Users = readonly Pick<Piece, 'id' | 'name' | 'work'>[];

/** Items of one kind with what is left of each. */
export function ItemTable({
  items,
  users,
  onEdit,
}: {
  items: readonly StashItem[];
  users: Users;
  onEdit: (item: StashItem) => void;
}) {
  const units = useUnits();
  const amount = (value: number, { unit }: StashItem) =>
    unit === 'ml'
      ? units.volume(value)
      : unit === 'sheets'
        ? counted(Math.round(value), 'sheet', 'sheets')
        : counted(Math.round(value), 'piece', 'pieces');
  return (
    <Table className={css.table}>
      <TableHead>
        <TableRow>
          <TableCell>{say`Item`}</TableCell>
          <TableCell>{say`Left`}</TableCell>
          <TableCell>{say`Price`}</TableCell>
          <TableCell>{say`Opened`}</TableCell>
          <TableCell>{say`Label, taken by`}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {items.map((item) => {
          const left = leftOf(item, users);
          const full = item.size ?? item.amount;
          const label = [
            item.label.filmUm !== null && units.film(item.label.filmUm),
            item.label.waitHours !== null && say`wait ${item.label.waitHours} h`,
            item.label.openMinutes !== null && say`open ${item.label.openMinutes} min`,
            item.limitC !== null && say`up to ${units.temperature(item.limitC)}`,
          ].filter((one) => one !== false);
          return (
            <TableRow key={item.id} data-testid="stash-item" data-item={item.id}>
              <TableCell>
                <TextButton onClick={() => onEdit(item)}>{item.name}</TextButton>
              </TableCell>
              <TableCell data-testid="item-left">
                {left === null ? <span className={css.quiet}>{say`not counted`}</span> : amount(left, item)}
                {full !== null && left !== null && <span className={css.of}> {say`of ${amount(full, item)}`}</span>}
                {left !== null && full !== null && full > 0 && item.unit === 'ml' && (
                  <span className={css.level} aria-hidden>
                    <ShareBar share={left / full} data-low={left / full < 0.2} />
                  </span>
                )}
              </TableCell>
              <TableCell>
                {item.price === null ? '' : item.price.toFixed(2)}
                {item.price !== null && item.size !== null && item.unit === 'ml' && (
                  <span className={css.of}> {priceOf(item.price / item.size, units)}</span>
                )}
              </TableCell>
              <TableCell>{item.openedOn ? dated(noonOf(item.openedOn), 'd MMM yyyy') : ''}</TableCell>
              <TableCell className={css.quiet}>
                {[
                  ...label,
                  ...drawnFrom(item, users).map(({ name, amount: taken }) => `${name} ${amount(taken, item)}`),
                ].join(', ')}
              </TableCell>
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}

/** By a measure that people compare by. */
const priceOf = (perMl: number, { system, volume }: Wording): string => {
  const ml = system === 'inch' ? 118.294 : 100;
  return say`${(perMl * ml).toFixed(2)} for ${volume(ml)}`;
};
