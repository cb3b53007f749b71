'use client';
import { toggled } from '@/core/shared';
import { PRINTS, type BinderId } from '@/core/craft';
import type { PrinterAtHand } from '@/core/at-hand';
import { ITEM_BOUNDS, itemsOf, newItem, type StashItem } from '@/records';
import { LabelFields, useStash } from '@/features/at-hand';
import { useClock, ChoiceField, Fields, Note, Part, PriceField, TickRow, VolumeField, Wide, useUnits } from '@/ui';
import { BINDER_WORDS, PRINT_WORDS, lowerFirst } from '@/words';
import { say } from '@/words/say';

export const PRINTERS: { id: PrinterAtHand; name: string }[] = [
  { id: 'laser', name: say`Laser printer` },
  { id: 'inkjet', name: say`Inkjet printer` },
  { id: 'copy-shop', name: say`Copy shop` },
];
const SKILLS: { id: '1' | '2' | '3'; name: string }[] = [
  { id: '1', name: say`First pieces` },
  { id: '2', name: say`Some` },
  { id: '3', name: say`Much` },
];
const SPECIAL = PRINTS.filter((print) => print.wet === 'own-school' || print.wet === 'slow');

/** What the person has at hand: kept for all pieces. */
export function AtHandPart() {
  const { stash, change } = useStash();
  const printer = PRINTERS.find(({ id }) => id === stash.printer);
  return (
    <Part title={say`Printer, paper and practice at hand`} folded={printer ? lowerFirst(printer.name) : say`not said`}>
      <Fields>
        <ChoiceField
          label={say`Printer at hand`}
          value={stash.printer}
          options={PRINTERS}
          onCommit={(printer) => void change({ printer })}
        />
        <ChoiceField
          label={say`Practice`}
          value={String(stash.skill) as '1' | '2' | '3'}
          options={SKILLS}
          onCommit={(skill) => void change({ skill: Number(skill) as 1 | 2 | 3 })}
        />
      </Fields>
      {SPECIAL.map((print) => (
        <TickRow
          key={print.id}
          checked={stash.papers.includes(print.id)}
          onToggle={() => void change({ papers: toggled(stash.papers, print.id) })}
        >
          {PRINT_WORDS[print.id].name}
        </TickRow>
      ))}
      <Note>{say`Kept for all your pieces.`}</Note>
    </Part>
  );
}

/** What the label of a bottle says: overrules the record for all pieces. */
export function BottleFields({
  binder,
  usual,
}: {
  binder: BinderId;
  usual: { filmUm: string; waitHours: string; openMinutes: string };
}) {
  const units = useUnits();
  const { stash, change } = useStash();
  const clock = useClock();
  const note =
    itemsOf(stash, 'binder', binder)[0] ??
    newItem(`binder-${binder}`, 'binder', BINDER_WORDS[binder].name, clock(), { material: binder });
  const set = (patch: Partial<StashItem>) =>
    change(({ items }) => {
      const changed = { ...note, ...patch };
      return {
        items: items.some(({ id }) => id === note.id)
          ? items.map((item) => (item.id === note.id ? changed : item))
          : [...items, changed],
      };
    });
  const label = (patch: Partial<typeof note.label>) => set({ label: { ...note.label, ...patch } });
  return (
    <Fields>
      <LabelFields label={note.label} usual={usual} onCommit={(patch) => label(patch)} />
      <PriceField
        label={say`Price of the bottle`}
        value={note.price}
        onCommit={(price) => set({ price })}
        testId="label-price"
      />
      <VolumeField
        label={say`It holds`}
        value={note.size}
        {...ITEM_BOUNDS.size}
        clearable
        onCommit={(size) => set({ size })}
        testId="label-size"
      />
      <Wide>
        <Note>{say`From your bottle, at ${units.temperature(21)} and 50 %. It overrules Fobbet’s figures in all
          your pieces; empty it to go back. Price and size are the bottle’s in the stash: changed in one place,
          they change in the other.`}</Note>
      </Wide>
    </Fields>
  );
}
