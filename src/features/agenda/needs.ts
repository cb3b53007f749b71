import type { BinderId, PrintId, SealerId } from '@/core/craft';
import type { ItemKind, Piece, Stash } from '@/records';
import { printsOnOwnPaper } from '@/core/at-hand';
import { needOf } from '@/core/plan';
import { BINDER_WORDS, PRINT_WORDS, SEALER_WORDS } from '@/words';
import { bottlesToBuy, leftOfMaterial } from './draws';
import type { PieceInPlan } from './use-schedule';

/** What all steps still to be done need of one material. */
export interface MaterialNeed {
  kind: ItemKind;
  material: string;
  name: string;
  needed: number;
  left: number | null;
  lacking: number;
  buy: { ml: number; count: number } | null;
  pieces: string[];
}

/** Materials that the planned pieces still need, those that run out first. */
export function needsOf(
  pieces: readonly PieceInPlan[],
  stash: Stash,
  users: readonly Pick<Piece, 'id' | 'name' | 'work'>[],
): MaterialNeed[] {
  const sums = new Map<string, { kind: ItemKind; material: string; needed: number; pieces: Set<string> }>();
  for (const {
    foreseen: { job, plan },
    planned: { piece },
    steps,
  } of pieces) {
    for (const step of steps) {
      const need = step.doneAt === null ? needOf(step.step, job, plan) : null;
      if (!need || need.material === null || (need.kind === 'paper' && !printsOnOwnPaper(stash.printer))) continue;
      const key = `${need.kind} ${need.material}`;
      const sum = sums.get(key) ?? { kind: need.kind, material: need.material, needed: 0, pieces: new Set<string>() };
      sum.needed += need.amount;
      sum.pieces.add(piece.name);
      sums.set(key, sum);
    }
  }
  return [...sums.values()]
    .map(({ kind, material, needed, pieces: names }): MaterialNeed => {
      const left = leftOfMaterial(stash, kind, material, users);
      const lacking = Math.max(0, needed - (left ?? 0));
      return {
        kind,
        material,
        name: materialName(kind, material),
        needed,
        left,
        lacking,
        buy: kind === 'paper' ? null : bottlesToBuy(lacking),
        pieces: [...names],
      };
    })
    .sort((a, b) => b.lacking / b.needed - a.lacking / a.needed || b.needed - a.needed);
}

/** What a material is called, by the kind of item that holds it. */
function materialName(kind: ItemKind, material: string): string {
  if (kind === 'binder') return BINDER_WORDS[material as BinderId].name;
  return kind === 'sealer' ? SEALER_WORDS[material as SealerId].name : PRINT_WORDS[material as PrintId].name;
}
