'use client';
import { Button, IconButton } from '@mui/material';
import { Trash2, Type } from 'lucide-react';
import { useCallback, useState } from 'react';
import { FONT_IDS, FULL_CROP, type Layer, type LayerMode, type PictureLayer, type TextLayer } from '@/core/picture';
import { FONT_NAMES, outlineOf } from '@/features/look';
import { newId, useNotice } from '@/features/shell';
import { MOST_LAYERS, type StoredPicture } from '@/records';
import { ChoiceField, Fields, FigureField, LengthField, LineField, NextRow, Note, Part, SelectField, Wide } from '@/ui';
import { ColourField } from '../surface/colour-field';
import { useOpenPiece } from '../piece-context';
import { useTakePicture } from '../use-take-picture';
import { PicturePick } from './picture-pick';
import { counted, sentences } from '@/words';
import css from './picture.module.css';
import { say } from '@/words/say';

const MODES: { id: LayerMode; name: string }[] = [
  { id: 'transfer', name: say`Moved with the print` },
  { id: 'trace', name: say`Traced and painted` },
];
type Line = 'straight' | 'arch' | 'bowl';
const LINES: { id: Line; name: string }[] = [
  { id: 'straight', name: say`Straight` },
  { id: 'arch', name: say`Arch` },
  { id: 'bowl', name: say`Bowl` },
];
const lineOf = ({ arcRadiusMm }: TextLayer): Line =>
  arcRadiusMm === null ? 'straight' : arcRadiusMm > 0 ? 'arch' : 'bowl';

/** Changes layers: lettering is measured by its font before it is kept. */
export function useLayerChanges() {
  const { piece, change } = useOpenPiece();
  const notice = useNotice();
  const { layers } = piece.picture;
  const keep = useCallback(
    async (next: Layer, label: string, pictures?: StoredPicture[]) => {
      try {
        const measured: Layer = next.kind === 'text' ? { ...next, box: (await outlineOf(next)).box } : next;
        const known = layers.some((layer) => layer.id === next.id);
        change(
          'picture',
          { layers: known ? layers.map((layer) => (layer.id === next.id ? measured : layer)) : [...layers, measured] },
          label,
          pictures,
        );
      } catch {
        notice({
          text: say`The lettering font could not be read, so nothing was changed. Reload the page and try again.`,
          tone: 'error',
        });
      }
    },
    [layers, change, notice],
  );
  const remove = (id: string) =>
    change('picture', { layers: layers.filter((layer) => layer.id !== id) }, say`layer removed`);
  return { layers, keep, remove };
}

export function LayersPanel({ onTouch }: { onTouch: () => void }) {
  const { piece, plan } = useOpenPiece();
  const { layers, keep, remove } = useLayerChanges();
  const {
    surface: { blank },
  } = plan;
  const addPicture = useCallback(
    (taken: StoredPicture) => {
      if (!blank) return;
      const widthMm = blank.widthMm / 4;
      const heightMm = (widthMm * taken.heightPx) / taken.widthPx;
      void keep(
        {
          id: newId(),
          kind: 'picture',
          mode: 'transfer',
          pictureId: taken.id,
          crop: FULL_CROP,
          box: { xMm: (blank.widthMm - widthMm) / 2, yMm: (blank.heightMm - heightMm) / 2, widthMm, heightMm },
        },
        say`another picture`,
        [taken],
      );
    },
    [blank, keep],
  );
  const taking = useTakePicture(addPicture);
  if (!blank)
    return (
      <Part title={say`Lettering and more pictures`} folded={say`none: measure the object first`}>
        <Note>{say`Measure the object first: lettering is set in its millimetres.`}</Note>
      </Part>
    );
  const addText = () => {
    onTouch();
    void keep(
      {
        id: newId(),
        kind: 'text',
        mode: 'transfer',
        // Its own name is what is lettered most; a made-up word would be printed unread.
        text: piece.name,
        font: 'oswald',
        sizeMm: Math.max(3, Math.round(blank.heightMm / 12)),
        colour: '#22303a',
        xMm: blank.widthMm / 2,
        yMm: blank.heightMm * 0.85,
        turnDeg: 0,
        arcRadiusMm: null,
        box: { xMm: 0, yMm: 0, widthMm: 0, heightMm: 0 },
      },
      'lettering',
    );
  };
  return (
    <Part
      title={say`Lettering and more pictures`}
      folded={layers.length === 0 ? say`none` : counted(layers.length, 'layer', 'layers')}
    >
      {layers.map((layer) => (
        <div key={layer.id} className={css.layer} data-layer={layer.kind}>
          {layer.kind === 'text' ? (
            <TextFields
              layer={layer}
              onKeep={(next, label) => {
                onTouch();
                void keep(next, label);
              }}
            />
          ) : (
            <PictureFields
              layer={layer}
              onKeep={(next, label) => {
                onTouch();
                void keep(next, label);
              }}
            />
          )}
          <IconButton
            size="small"
            aria-label={layer.kind === 'text' ? say`Remove ${layer.text}` : say`Remove the picture`}
            onClick={() => remove(layer.id)}
          >
            <Trash2 size={16} />
          </IconButton>
        </div>
      ))}
      {layers.length < MOST_LAYERS && (
        <NextRow>
          <Button
            size="small"
            variant="outlined"
            startIcon={<Type size={16} />}
            onClick={addText}
            data-testid="add-lettering"
          >{say`Add lettering`}</Button>
          <PicturePick taking={taking} label={say`Add a picture`} />
        </NextRow>
      )}
      {layers.some((layer) => layer.mode === 'trace') && (
        <Note>
          {sentences(
            say`Traced layers are left out of the mirrored print: they are traced from a print that is not
              mirrored, after rubbing and before the sealer.`,
            say`They stand in the order of work at Method, and in Mend.`,
          )}
        </Note>
      )}
    </Part>
  );
}

function TextFields({ layer, onKeep }: { layer: TextLayer; onKeep: (layer: TextLayer, label: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const set = (patch: Partial<TextLayer>, label: string) => onKeep({ ...layer, ...patch }, label);
  const commit = () => {
    const text = draft?.trim().slice(0, 200);
    if (text && text !== layer.text) set({ text }, say`lettering “${text}”`);
    setDraft(null);
  };
  return (
    <Fields>
      <Wide>
        <LineField
          label={say`Words`}
          value={draft ?? layer.text}
          onChange={(event) => setDraft(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => event.key === 'Enter' && commit()}
          mostCharacters={200}
          testId="lettering-words"
        />
      </Wide>
      <SelectField
        label={say`Letters`}
        value={layer.font}
        options={FONT_IDS.map((id) => ({ id, name: FONT_NAMES[id] }))}
        onCommit={(font) => set({ font }, 'letters')}
        testId="lettering-font"
      />
      <LengthField
        small
        label={say`Height of capitals`}
        value={layer.sizeMm}
        minMm={1}
        maxMm={1000}
        onCommit={(sizeMm) => sizeMm !== null && set({ sizeMm }, say`height of the letters`)}
        testId="lettering-size"
      />
      <Wide>
        <ChoiceField
          label={say`On the piece it is`}
          value={layer.mode}
          options={MODES}
          onCommit={(mode) => set({ mode }, say`how it gets there`)}
        />
      </Wide>
      <ChoiceField
        label={say`Line`}
        value={lineOf(layer)}
        options={LINES}
        onCommit={(line) =>
          set(
            {
              arcRadiusMm:
                line === 'straight'
                  ? null
                  : (line === 'arch' ? 1 : -1) *
                    Math.max(Math.abs(layer.arcRadiusMm ?? 0), layer.box.widthMm * 0.7, 20),
            },
            say`line of the letters`,
          )
        }
      />
      {layer.arcRadiusMm !== null ? (
        <LengthField
          label={say`Radius of the arc`}
          value={Math.abs(layer.arcRadiusMm)}
          minMm={5}
          maxMm={5000}
          onCommit={(radius) =>
            radius !== null && set({ arcRadiusMm: Math.sign(layer.arcRadiusMm ?? 1) * radius }, say`radius of the arc`)
          }
          testId="lettering-radius"
        />
      ) : (
        <FigureField
          label={say`Turned by`}
          value={layer.turnDeg}
          unit="°"
          min={-180}
          max={180}
          onCommit={(turnDeg) => set({ turnDeg: turnDeg ?? 0 }, say`turn of the letters`)}
        />
      )}
      <LengthField
        small
        label={say`Middle from the left`}
        value={layer.xMm}
        maxMm={6000}
        onCommit={(xMm) => xMm !== null && set({ xMm }, say`place of the letters`)}
        testId="lettering-x"
      />
      <LengthField
        small
        label={say`Middle from the top`}
        value={layer.yMm}
        maxMm={6000}
        onCommit={(yMm) => yMm !== null && set({ yMm }, say`place of the letters`)}
        testId="lettering-y"
      />
      <ColourField
        label={say`Colour`}
        value={layer.colour}
        onCommit={(colour) => set({ colour }, say`colour of the letters`)}
      />
    </Fields>
  );
}

function PictureFields({
  layer,
  onKeep,
}: {
  layer: PictureLayer;
  onKeep: (layer: PictureLayer, label: string) => void;
}) {
  const { box } = layer;
  const set = (patch: Partial<PictureLayer['box']>, label: string) =>
    onKeep({ ...layer, box: { ...box, ...patch } }, label);
  const aspect = box.heightMm / box.widthMm;
  return (
    <Fields>
      <Wide>
        <b>{say`Another picture`}</b>
      </Wide>
      <LengthField
        label={say`Width`}
        value={box.widthMm}
        minMm={2}
        onCommit={(widthMm) =>
          widthMm !== null && set({ widthMm, heightMm: widthMm * aspect }, say`width of the picture`)
        }
      />
      <ChoiceField
        label={say`On the piece it is`}
        value={layer.mode}
        options={MODES}
        onCommit={(mode) => onKeep({ ...layer, mode }, say`how it gets there`)}
      />
      <LengthField
        small
        label={say`From the left`}
        value={box.xMm}
        maxMm={6000}
        onCommit={(xMm) => xMm !== null && set({ xMm }, say`place of the picture`)}
      />
      <LengthField
        small
        label={say`From the top`}
        value={box.yMm}
        maxMm={6000}
        onCommit={(yMm) => yMm !== null && set({ yMm }, say`place of the picture`)}
      />
    </Fields>
  );
}
