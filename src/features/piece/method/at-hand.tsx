'use client';
import { PRINTS, binderById, type BinderId } from '@/core/craft';
import type { PrinterAtHand } from '@/core/method';
import { itemsOf, newItem, type StashItem } from '@/records';
import { useStash } from '@/features/shell';
import { useClock, ChoiceField, Fields, FigureField, Note, TickRow, VolumeField, Wide } from '@/ui';

const PRINTERS: { id: PrinterAtHand; name: string }[] = [{ id: 'copy-shop', name: 'Copy shop' }, { id: 'laser', name: 'Own laser' }, { id: 'inkjet', name: 'Own inkjet' }];
const SKILLS: { id: '1' | '2' | '3'; name: string }[] = [{ id: '1', name: 'First pieces' }, { id: '2', name: 'Some' }, { id: '3', name: 'Much' }];
const SPECIAL = PRINTS.filter((print) => print.wet === 'own-school' || print.id === 'laser-heavy');

/** What the person has at hand: kept for all pieces. */
export function AtHandFields() {
  const { stash, change } = useStash();
  return (
    <>
      <Fields>
        <ChoiceField label="Printer at hand" value={stash.printer} options={PRINTERS} onCommit={(printer) => change({ printer })} />
        <ChoiceField label="Practice" value={String(stash.skill) as '1' | '2' | '3'} options={SKILLS} onCommit={(skill) => change({ skill: Number(skill) as 1 | 2 | 3 })} />
      </Fields>
      {SPECIAL.map((print) => (
        <TickRow key={print.id} checked={stash.papers.includes(print.id)} onToggle={() => change({ papers: stash.papers.includes(print.id) ? stash.papers.filter((id) => id !== print.id) : [...stash.papers, print.id] })}>{print.name}</TickRow>
      ))}
      <Note>Kept for all your pieces.</Note>
    </>
  );
}

/** What the label of a bottle says: overrules the record for all pieces. */
export function LabelFields({ binder, usual }: { binder: BinderId; usual: { filmUm: string; waitHours: string; openMinutes: string } }) {
  const { stash, change } = useStash();
  const clock = useClock();
  const note = itemsOf(stash, 'binder', binder)[0] ?? newItem(`binder-${binder}`, 'binder', binderById(binder).name, clock(), { material: binder });
  const set = (patch: Partial<StashItem>) => change(({ items }) => {
    const changed = { ...note, ...patch };
    return { items: items.some(({ id }) => id === note.id) ? items.map((item) => (item.id === note.id ? changed : item)) : [...items, changed] };
  });
  const label = (patch: Partial<typeof note.label>) => set({ label: { ...note.label, ...patch } });
  return (
    <Fields>
      <FigureField label="Wet film" value={note.label.filmUm} unit="µm" whole min={20} max={2000} computed={usual.filmUm} onCommit={(filmUm) => label({ filmUm })} testId="label-film" />
      <FigureField label="Wait" value={note.label.waitHours} unit="h" min={0.02} max={2000} computed={usual.waitHours} onCommit={(waitHours) => label({ waitHours })} testId="label-wait" />
      <FigureField label="Open for" value={note.label.openMinutes} unit="min" min={0.5} max={240} computed={usual.openMinutes} onCommit={(openMinutes) => label({ openMinutes })} />
      <FigureField label="Price of the bottle" value={note.price} min={0} max={1e6} clearable onCommit={(price) => set({ price })} testId="label-price" />
      <VolumeField label="It holds" value={note.size} min={1} clearable onCommit={(size) => set({ size })} testId="label-size" />
      <Wide><Note>From your bottle, at 21 °C and 50 %. It overrules Fobbet’s figures in all your pieces; empty it to go back.</Note></Wide>
    </Fields>
  );
}
