'use client';
import { Button, Slider } from '@mui/material';
import { useId, useState } from 'react';
import { PLAIN_TONE, type FadeForm, type Tone } from '@/core/raster';
import { equalData } from '@/core/shared';
import { ChoiceField, LengthField, Part } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './picture.module.css';
import { useTone } from '../tone-context';
import { say } from '@/words/say';

type Amount = 'lightness' | 'contrast' | 'gamma' | 'warmth' | 'compensate';
const SLIDERS: readonly {
  key: Amount;
  name: string;
  min: number;
  max: number;
  step: number;
  show: (value: number) => string;
}[] = [
  {
    key: 'compensate',
    name: say`Compensate for surface and gel or glue`,
    min: 0,
    max: 100,
    step: 5,
    show: (value) => `${value} %`,
  },
  { key: 'lightness', name: say`Lightness`, min: -100, max: 100, step: 1, show: (value) => String(value) },
  { key: 'contrast', name: say`Contrast`, min: -100, max: 100, step: 1, show: (value) => String(value) },
  { key: 'gamma', name: say`Midtones`, min: 0.3, max: 3, step: 0.05, show: (value) => value.toFixed(2) },
  { key: 'warmth', name: say`Warmth`, min: -100, max: 100, step: 1, show: (value) => String(value) },
];
const CHANNELS = [
  { key: 'red', name: say`Red` },
  { key: 'green', name: say`Green` },
  { key: 'blue', name: say`Blue` },
] as const;
const FADES: { id: FadeForm; name: string }[] = [
  { id: 'none', name: say`None` },
  { id: 'rectangle', name: say`Soft` },
  { id: 'oval', name: say`Oval` },
  { id: 'ragged', name: say`Ragged` },
];
const GREY = { red: 0.3, green: 0.59, blue: 0.11 };

/** Sliders that answer at once on the specimen, and are kept when they are let go. */
export function TonePanel({ onTouch }: { onTouch: () => void }) {
  const { piece, change } = useOpenPiece();
  const { tone, tryTone } = useTone();
  const plain = equalData(piece.picture.tone, PLAIN_TONE);
  const set = (patch: Partial<Tone>, label: string) => {
    tryTone(null);
    change('picture', { tone: { ...piece.picture.tone, ...patch } }, label);
  };
  const move = (patch: Partial<Tone>) => {
    onTouch();
    tryTone({ ...tone, ...patch });
  };
  return (
    <Part title={say`Tone`} folded={plain ? say`as it is` : say`changed`}>
      <div className={css.sliders}>
        {SLIDERS.filter(({ key }) => key !== 'warmth' || tone.mono === null).map(
          ({ key, name, min, max, step, show }) => (
            <ToneSlider
              key={key}
              name={name}
              value={tone[key]}
              min={min}
              max={max}
              step={step}
              show={show}
              neutral={PLAIN_TONE[key]}
              onMove={(value) => move({ [key]: value })}
              onKeep={(value) => set({ [key]: value }, name.toLowerCase())}
              testId={`tone-${key}`}
            />
          ),
        )}
      </div>
      <div className={css.toneChoices}>
        <ChoiceField
          label={say`Colour`}
          value={tone.mono ? 'grey' : 'colour'}
          options={[
            { id: 'colour', name: say`In colour` },
            { id: 'grey', name: say`Black and white` },
          ]}
          onCommit={(id) =>
            set({ mono: id === 'grey' ? GREY : null }, id === 'grey' ? say`black and white` : say`in colour`)
          }
        />
        {tone.mono && (
          <div className={css.sliders}>
            {CHANNELS.map(({ key, name }) => (
              <ToneSlider
                key={key}
                name={say`${name} in the grey`}
                value={tone.mono?.[key] ?? 0}
                min={0}
                max={1}
                step={0.01}
                show={(value) => `${Math.round(value * 100)} %`}
                neutral={GREY[key]}
                onMove={(value) => move({ mono: { ...GREY, ...tone.mono, [key]: value } })}
                onKeep={(value) =>
                  set(
                    { mono: { ...GREY, ...piece.picture.tone.mono, [key]: value } },
                    say`${name.toLowerCase()} in the grey`,
                  )
                }
                testId={`mono-${key}`}
              />
            ))}
          </div>
        )}
        <ChoiceField
          label={say`Edge of the picture`}
          value={tone.fade}
          options={FADES}
          onCommit={(fade) => {
            onTouch();
            set({ fade }, say`edge of the picture`);
          }}
        />
        {tone.fade !== 'none' && (
          <LengthField
            small
            label={say`Edge runs out over`}
            value={tone.fadeMm}
            minMm={1}
            maxMm={300}
            onCommit={(fadeMm) => fadeMm !== null && set({ fadeMm }, say`width of the edge`)}
            testId="fade-width"
          />
        )}
        {!plain && (
          <Button
            size="small"
            variant="text"
            onClick={() => {
              tryTone(null);
              change('picture', { tone: PLAIN_TONE }, say`tone as it came`);
            }}
          >{say`Tone as it came`}</Button>
        )}
      </div>
    </Part>
  );
}

interface ToneSliderProps {
  name: string;
  value: number;
  min: number;
  max: number;
  step: number;
  show: (value: number) => string;
  neutral: number;
  onMove: (value: number) => void;
  onKeep: (value: number) => void;
  testId: string;
}

function ToneSlider({ name, value, min, max, step, show, neutral, onMove, onKeep, testId }: ToneSliderProps) {
  const id = useId();
  const [moving, setMoving] = useState<number | null>(null);
  return (
    <>
      <label id={id} className={css.sliderName}>
        {name}
      </label>
      <Slider
        size="small"
        value={moving ?? value}
        min={min}
        max={max}
        step={step}
        track={false}
        marks={[{ value: neutral }]}
        aria-labelledby={id}
        getAriaValueText={show}
        data-testid={testId}
        onChange={(_, next) => {
          setMoving(next);
          onMove(next);
        }}
        onChangeCommitted={(_, next) => {
          setMoving(null);
          onKeep(next);
        }}
      />
      <output className={css.sliderValue} data-changed={value !== neutral}>
        {show(moving ?? value)}
      </output>
    </>
  );
}
