'use client';
import { binderById, nominalFilmUm } from '@/core/craft';
import type { Candidate } from '@/core/method';
import { useStash } from '@/features/at-hand';
import { itemsOf } from '@/records';
import { Part, useUnits } from '@/ui';
import { BINDER_WORDS, type Wording } from '@/words';
import { say } from '@/words/say';
import { BottleFields } from './at-hand';
import type { Method } from './use-method';

/** What the person's own bottle says, which overrules the usual. */
export function LabelPart({ method: { chosen } }: { method: Method }) {
  const units = useUnits();
  const { stash } = useStash();
  if (!chosen?.binder.wet) return null;
  const { id } = chosen.binder;
  const isHere = itemsOf(stash, 'binder', id).length > 0;
  return (
    <Part
      title={say`On the label of your ${BINDER_WORDS[id].inText}`}
      folded={isHere ? say`as usual until you type it` : say`to buy: it says ${BINDER_WORDS[id].onLabel}`}
    >
      <BottleFields binder={id} usual={usualOf(chosen, units)} />
    </Part>
  );
}

/** The record's own figures, shown where the label's are not typed. */
function usualOf({ binder }: Candidate, units: Wording): { filmUm: string; waitHours: string; openMinutes: string } {
  const record = binderById(binder.id);
  const { min, max } = record.waitHours;
  return {
    filmUm: units.film(nominalFilmUm(record)),
    waitHours: min === max ? `${max} h` : `${min}–${max} h`,
    openMinutes: say`${record.openMinutes} min`,
  };
}
