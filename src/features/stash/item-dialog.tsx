'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { BINDERS, PIGMENTS, PRINTS, SEALERS } from '@/core/craft';
import { ITEM_BOUNDS, ITEM_KINDS, UNIT_OF, type ItemKind, type Piece, type StashItem } from '@/records';
import { leftOf } from '@/storage';
import { LabelFields } from '@/features/at-hand';
import {
  Fields,
  FigureField,
  LineField,
  Note,
  PriceField,
  SelectField,
  TemperatureField,
  VolumeField,
  Wide,
  WritingField,
  useClock,
  DateField,
} from '@/ui';
import { KIND_NAMES } from './kinds';
import { BINDER_WORDS, PIGMENT_NAMES, PRINT_WORDS, SEALER_WORDS, upperFirst } from '@/words';
import { say } from '@/words/say';

const MATERIALS: Readonly<Partial<Record<ItemKind, readonly { id: string; name: string }[]>>> = {
  binder: BINDERS.filter(({ wet, washesOut }) => wet && !washesOut).map(({ id }) => ({
    id,
    name: BINDER_WORDS[id].name,
  })),
  sealer: SEALERS.filter(({ bare, isBinder }) => !bare && !isBinder).map(({ id }) => ({
    id,
    name: SEALER_WORDS[id].name,
  })),
  paint: PIGMENTS.map(({ id }) => ({ id, name: upperFirst(PIGMENT_NAMES[id]) })),
  paper: PRINTS.map(({ id }) => ({ id, name: PRINT_WORDS[id].name })),
};

/** One item of the stash, written down or mended. */
export function ItemDialog({
  item,
  isNew,
  users,
  onSave,
  onRemove,
  onClose,
}: {
  item: StashItem;
  isNew: boolean;
  users: readonly Pick<Piece, 'id' | 'name' | 'work'>[];
  onSave: (item: StashItem) => void;
  onRemove: (id: string) => void;
  onClose: () => void;
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
      <DialogTitle component="h2">{isNew ? say`New item` : item.name}</DialogTitle>
      <DialogContent>
        <Fields>
          <SelectField
            label={say`Kind`}
            value={draft.kind}
            options={ITEM_KINDS.map((id) => ({ id, name: KIND_NAMES[id].replace(/s$/, '') }))}
            onCommit={(kind) => set({ kind, unit: UNIT_OF[kind], material: null })}
            testId="item-kind"
          />
          {materials ? (
            <SelectField
              label={say`Which`}
              value={draft.material}
              empty={say`Choose`}
              options={materials.map(({ id, name: words }) => ({ id, name: words }))}
              onCommit={(material) => set({ material })}
              testId="item-material"
            />
          ) : (
            <span />
          )}
          <Wide>
            <LineField
              label={say`Name`}
              value={draft.name}
              placeholder={name}
              onChange={(event) => set({ name: event.target.value })}
              mostCharacters={120}
              testId="item-name"
            />
          </Wide>
          <Amount
            label={say`Holds when full`}
            {...ITEM_BOUNDS.size}
            value={draft.size}
            clearable
            onCommit={(size) => set({ size, ...(draft.amount === null ? { amount: size, countedAt: clock() } : {}) })}
            testId="item-size"
          />
          <Amount
            label={say`Left now`}
            {...ITEM_BOUNDS.amount}
            value={left}
            clearable
            onCommit={(amount) => set({ amount, countedAt: clock() })}
            hint={say`counted: draws start anew from here`}
            testId="item-amount"
          />
          <PriceField
            label={say`Price when full`}
            value={draft.price}
            onCommit={(price) => set({ price })}
            testId="item-price"
          />
          <DateField
            label={say`Opened`}
            value={draft.openedOn}
            onCommit={(openedOn) => set({ openedOn })}
            testId="item-opened"
          />
          {draft.kind === 'binder' && <LabelFields label={draft.label} onCommit={label} />}
          {draft.kind === 'oven' && (
            <TemperatureField
              label={say`Hottest it may go`}
              {...ITEM_BOUNDS.limitC}
              testId="item-limit"
              value={draft.limitC}
              clearable
              onCommit={(limitC) => set({ limitC })}
            />
          )}
          <Wide>
            <WritingField
              label={say`Note`}
              value={draft.note}
              mostCharacters={500}
              onCommit={(note) => set({ note })}
              testId="item-note"
            />
          </Wide>
        </Fields>
        {draft.kind === 'binder' && (
          <Note>{say`What the label says overrules Fobbet’s figures in all your pieces.`}</Note>
        )}
      </DialogContent>
      <DialogActions>
        {!isNew && <Button color="error" onClick={() => onRemove(item.id)}>{say`Remove`}</Button>}
        <Button onClick={onClose}>{say`Cancel`}</Button>
        <Button
          variant="contained"
          disabled={!name}
          onClick={() => onSave({ ...draft, name })}
          data-testid="item-save"
        >{say`Keep it`}</Button>
      </DialogActions>
    </Dialog>
  );
}

const CountField = (props: React.ComponentProps<typeof FigureField>) => <FigureField {...props} whole />;
