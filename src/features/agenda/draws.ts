import { printsOnOwnPaper } from '@/core/at-hand';
import { needOf } from '@/core/plan';
import type { Draw, Job, PiecePlan, StepId } from '@/core/stations';
import { itemsOf, type ItemKind, type Piece, type Stash, type StashItem } from '@/records';
import { leftOf } from '@/storage';

type Users = readonly Pick<Piece, 'id' | 'name' | 'work'>[];
export type StepDraw = Omit<Draw, 'step' | 'at'>;

/** From which items it comes: the one opened first, then the next. What no item covers is not drawn. */
export function drawsFor(step: StepId, job: Job, plan: PiecePlan, stash: Stash, users: Users): StepDraw[] {
  const need = needOf(step, job, plan);
  if (!need || (need.kind === 'paper' && !printsOnOwnPaper(stash.printer))) return [];
  const items =
    need.material === null
      ? stash.items.filter((item) => item.kind === need.kind)
      : itemsOf(stash, need.kind, need.material);
  const draws: StepDraw[] = [];
  let open = need.amount;
  for (const item of items) {
    const taken = Math.min(open, leftOf(item, users) ?? open);
    if (taken <= 0) continue;
    draws.push({ item: item.id, amount: Math.round(taken * 100) / 100 });
    open -= taken;
    if (open <= 1e-9) break;
  }
  return draws;
}

/** Sizes that bottles usually come in, ml. */
const BOTTLES_ML = [60, 120, 240, 480, 950, 3800] as const;

/** The fewest, smallest bottles that cover what is lacking. */
export function bottlesToBuy(lackingMl: number): { ml: number; count: number } | null {
  if (lackingMl <= 0) return null;
  const ml = BOTTLES_ML.find((size) => size >= lackingMl) ?? BOTTLES_ML[BOTTLES_ML.length - 1]!;
  return { ml, count: Math.ceil(lackingMl / ml) };
}

/** What is left of a material over all its items; null where no item says how much. */
export function leftOfMaterial(stash: Stash, kind: ItemKind, material: string, users: Users): number | null {
  const amounts = itemsOf(stash, kind, material)
    .map((item: StashItem) => leftOf(item, users))
    .filter((amount) => amount !== null);
  return amounts.length ? amounts.reduce((sum, amount) => sum + amount, 0) : null;
}
