'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import { BINDERS, PRINTS, SEALERS } from '@/core/craft';
import { ITEM_KINDS, UNIT_OF, type ItemKind, type Piece, type StashItem } from '@/records';
import { leftOf } from '@/storage';
import { Fields, FigureField, Note, SelectField, TemperatureField, VolumeField, Wide, useClock } from '@/ui';
import { KIND_NAMES } from './kinds';

const MATERIALS: Readonly<Partial<Record<ItemKind, readonly { id: string; name: string }[]>>> = { binder: BINDERS.filter(({ id }) => id !== 'none' && id !== 'school-glue'), sealer: SEALERS.filter(({ id }) => id !== 'none' && id !== 'same-medium'), paper: PRINTS };

/** One item of the stash, written down or mended. */
export function ItemDialog({ item, isNew, users, onSave, onRemove, onClose }: {
  item: StashItem; isNew: boolean; users: readonly Pick<Piece, 'id' | 'name' | 'work'>[]; onSave: (item: StashItem) => void; onRemove: (id: string) => void; onClose: () => void;
}) {
  const clock = useClock();
  const [draft, setDraft] = useState(item);
  const set = (patch: Partial<StashItem>) => setDraft((now) => ({ ...now, ...patch }));
  const label = (patch: Partial<StashItem['label']>) => set({ label: { ...draft.label, ...patch } });
  const materials = MATERIALS[draft.kind];
  const left = leftOf(draft, users);
  const Amount = draft.unit === 'ml' ? VolumeField : CountField;
  const name = draft.name.trim() || materials?.find(({ id }) => id === draft.material)?.name || '';
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle component="h2">{isNew ? 'New item' : item.name}</DialogTitle>
      <DialogContent>
        <Fields>
          <SelectField label="Kind" value={draft.kind} options={ITEM_KINDS.map((id) => ({ id, name: KIND_NAMES[id].replace(/s$/, '') }))} onCommit={(kind) => set({ kind, unit: UNIT_OF[kind], material: null })} testId="item-kind" />
          {materials ? <SelectField label="Which" value={draft.material} empty="Choose" options={materials.map(({ id, name: words }) => ({ id, name: words }))} onCommit={(material) => set({ material })} testId="item-material" /> : <span />}
          <Wide><TextField label="Name" value={draft.name} placeholder={name} onChange={(event) => set({ name: event.target.value })} slotProps={{ htmlInput: { 'data-testid': 'item-name', maxLength: 120 } }} /></Wide>
          <Amount label="Holds when full" value={draft.size} clearable onCommit={(size) => set({ size, ...(draft.amount === null ? { amount: size, countedAt: clock() } : {}) })} testId="item-size" />
          <Amount label="Left now" value={left} clearable onCommit={(amount) => set({ amount, countedAt: clock() })} hint="counted: draws start anew from here" testId="item-amount" />
          <FigureField label="Price when full" value={draft.price} min={0} max={1e6} clearable onCommit={(price) => set({ price })} testId="item-price" />
          <TextField label="Opened" type="date" value={draft.openedOn ?? ''} onChange={(event) => set({ openedOn: event.target.value || null })} />
          {draft.kind === 'binder' && (
            <>
              <FigureField label="Label: wet film" value={draft.label.filmUm} unit="µm" whole min={20} max={2000} clearable onCommit={(filmUm) => label({ filmUm })} />
              <FigureField label="Label: wait" value={draft.label.waitHours} unit="h" min={0.02} max={2000} clearable onCommit={(waitHours) => label({ waitHours })} />
              <FigureField label="Label: open for" value={draft.label.openMinutes} unit="min" min={0.5} max={240} clearable onCommit={(openMinutes) => label({ openMinutes })} />
            </>
          )}
          {draft.kind === 'oven' && <TemperatureField label="Hottest it may go" value={draft.limitC} clearable onCommit={(limitC) => set({ limitC })} />}
          <Wide><TextField label="Note" value={draft.note} multiline onChange={(event) => set({ note: event.target.value.slice(0, 500) })} /></Wide>
        </Fields>
        {draft.kind === 'binder' && <Note>What the label says overrules Fobbet’s figures in all your pieces.</Note>}
      </DialogContent>
      <DialogActions>
        {!isNew && <Button color="error" onClick={() => onRemove(item.id)}>Remove</Button>}
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={!name} onClick={() => onSave({ ...draft, name })} data-testid="item-save">Keep it</Button>
      </DialogActions>
    </Dialog>
  );
}

const MOST_PIECES = 100_000;
const CountField = (props: Omit<React.ComponentProps<typeof FigureField>, 'min' | 'max'>) => <FigureField {...props} whole min={0} max={MOST_PIECES} />;
