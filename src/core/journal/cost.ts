/** What a piece costs: each material by its share of the bottle. Prices in the person's own currency, volumes in ml. */
export interface Prices {
  print: number | null;
  blank: number | null;
  binderBottle: { price: number | null; ml: number | null };
  sealerBottle: { price: number | null; ml: number | null };
  paintTin: { price: number | null; ml: number | null };
}

export interface CostLine {
  item: 'print' | 'blank' | 'paint' | 'binder' | 'sealer';
  amount: number;
}
export interface PieceCost {
  lines: readonly CostLine[];
  total: number;
  unknown: readonly CostLine['item'][];
}

const CENTS = 100;

export function pieceCost(
  prices: Prices,
  used: { pages: number; paintMl: number; binderMl: number | null; sealerMl: number | null },
): PieceCost {
  const ofBottle = ({ price, ml }: Prices['binderBottle'], usedMl: number | null): number | null => {
    if (usedMl === 0) return 0;
    return price === null || ml === null || ml <= 0 || usedMl === null ? null : (price * usedMl) / ml;
  };
  const all: [CostLine['item'], number | null][] = [
    ['print', prices.print === null ? null : prices.print * used.pages],
    ['blank', prices.blank],
    ['paint', ofBottle(prices.paintTin, used.paintMl)],
    ['binder', ofBottle(prices.binderBottle, used.binderMl)],
    ['sealer', ofBottle(prices.sealerBottle, used.sealerMl)],
  ];
  const lines = all
    .filter((line): line is [CostLine['item'], number] => line[1] !== null)
    .map(([item, amount]) => ({ item, amount }));
  return {
    lines,
    // Of the lines as they are told: a sum that is not theirs is taken for a fault.
    total: lines.reduce((total, line) => total + Math.round(line.amount * CENTS), 0) / CENTS,
    unknown: all.filter(([, amount]) => amount === null).map(([item]) => item),
  };
}
