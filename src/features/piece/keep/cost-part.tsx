'use client';
import { Table, TableBody, TableCell, TableRow } from '@mui/material';
import { Fragment } from 'react';
import type { CostLine } from '@/core/journal';
import { Fields, Note, Part, PriceField, VolumeField } from '@/ui';
import { sentences } from '@/words';
import { say } from '@/words/say';
import { AgainstBought } from '../against-bought';
import { useOpenPiece } from '../piece-context';
import css from './keep.module.css';

const COSTS: Readonly<Record<CostLine['item'], string>> = {
  print: say`Print`,
  blank: say`Board or jar`,
  paint: say`Paint`,
  binder: say`Gel or glue`,
  sealer: say`Sealer`,
};

/** What the piece cost, from prices of its own. */
export function CostPart() {
  const { lines, total, unknown } = useOpenPiece().plan.keep.cost;
  return (
    <Part title={say`What it cost`} folded={lines.length > 0 ? total.toFixed(2) : say`no price yet`}>
      <Prices />
      {lines.length > 0 && <CostTable lines={lines} total={total} />}
      <AgainstBought at="keep" />
      <Note>
        {sentences(
          say`In your own currency.`,
          unknown.length > 0
            ? say`Not counted: ${unknown.map((item) => COSTS[item].toLowerCase()).join(', ')}.`
            : say`Gel or glue and sealer by their share of the bottle.`,
        )}
      </Note>
    </Part>
  );
}

const BOTTLES = [
  { key: 'paintTin', of: 'paint', name: say`Tin of paint`, priced: say`price of the paint` },
  { key: 'binderBottle', of: 'binder', name: say`Bottle of gel or glue`, priced: say`price of the gel or glue` },
  { key: 'sealerBottle', of: 'sealer', name: say`Bottle of sealer`, priced: say`price of the sealer` },
] as const;

function Prices() {
  const { piece, plan, change } = useOpenPiece();
  const { prices } = piece.keep;
  const setPrice = (patch: Partial<typeof prices>, label: string) =>
    change('keep', { prices: { ...prices, ...patch } }, label);
  return (
    <Fields>
      <PriceField
        label={say`Print, each page`}
        value={prices.print}
        onCommit={(print) => setPrice({ print }, say`price of the print`)}
        testId="price-print"
      />
      <PriceField
        label={say`Board or jar`}
        value={prices.blank}
        onCommit={(blank) => setPrice({ blank }, say`price of the board or jar`)}
        testId="price-blank"
      />
      {BOTTLES.filter(({ of }) => of !== 'paint' || plan.surface.paintMl > 0).map(({ key, of, name, priced }) => (
        <Fragment key={key}>
          <PriceField
            label={name}
            value={prices[key].price}
            onCommit={(price) => setPrice({ [key]: { ...prices[key], price } }, priced)}
            testId={`price-${of}`}
          />
          <VolumeField
            label={say`holds`}
            value={prices[key].ml}
            min={1}
            clearable
            onCommit={(ml) => setPrice({ [key]: { ...prices[key], ml } }, say`size of the bottle`)}
            testId={`size-${of}`}
          />
        </Fragment>
      ))}
    </Fields>
  );
}

const CostTable = ({ lines, total }: { lines: readonly CostLine[]; total: number }) => (
  <Table className={css.table} data-testid="cost">
    <TableBody>
      {lines.map(({ item, amount }) => (
        <TableRow key={item}>
          <TableCell component="th" scope="row">
            {COSTS[item]}
          </TableCell>
          <TableCell>{amount.toFixed(2)}</TableCell>
        </TableRow>
      ))}
      <TableRow className={css.total}>
        <TableCell component="th" scope="row">{say`This piece`}</TableCell>
        <TableCell>{total.toFixed(2)}</TableCell>
      </TableRow>
    </TableBody>
  </Table>
);
