'use client';
import { useId, type ComponentProps } from 'react';
import {
  parseFigure,
  parseFilmUm,
  parseLengthMm,
  parsePercent,
  parseTemperatureC,
  parseVolumeMl,
} from '@/core/measure';
import type { Option } from './option';
import { Segments } from './segments';
import { TypedField, type TypedFieldProps } from './typed-field';
import { useUnits } from './units-context';
import css from './fields.module.css';

type NumberField = Omit<TypedFieldProps<number>, 'parse' | 'format'>;

/** @param small a margin or an overlap: a bare number is millimetres */
export function LengthField({
  minMm = 0,
  maxMm = 3000,
  small = false,
  ...props
}: NumberField & { minMm?: number; maxMm?: number; small?: boolean }) {
  const { system, length } = useUnits();
  return (
    <TypedField
      {...props}
      parse={(text) => parseLengthMm(text, system, { minMm, maxMm }, small ? 'mm' : 'cm')}
      format={(mm) => (small && system === 'metric' ? `${Number(mm.toFixed(1))} mm` : length(mm))}
    />
  );
}

export function VolumeField({ min = 0, max = 100_000, ...props }: NumberField & { min?: number; max?: number }) {
  const { system, volume } = useUnits();
  return <TypedField {...props} parse={(text) => parseVolumeMl(text, system, { min, max })} format={volume} />;
}

/** A wet film: micrometres, or thousandths of an inch. Bounds in µm. */
export function FilmField({ min, max, ...props }: NumberField & { min: number; max: number }) {
  const { system, film } = useUnits();
  return <TypedField {...props} parse={(text) => parseFilmUm(text, system, { min, max })} format={film} />;
}

/** @param min and @param max °C; those of a room where they are left out */
export function TemperatureField({ min = -20, max = 60, ...props }: NumberField & { min?: number; max?: number }) {
  const { system, temperature } = useUnits();
  return <TypedField {...props} parse={(text) => parseTemperatureC(text, system, { min, max })} format={temperature} />;
}

export const PercentField = (props: NumberField) => (
  <TypedField {...props} parse={(text) => parsePercent(text)} format={(value) => `${Math.round(value)} %`} />
);

export function FigureField({
  min,
  max,
  whole = false,
  unit = '',
  decimals = 2,
  ...props
}: NumberField & { min: number; max: number; whole?: boolean; unit?: string; decimals?: number }) {
  const strip = (text: string) => (unit && text.trim().endsWith(unit) ? text.trim().slice(0, -unit.length) : text);
  const parse = (text: string) => {
    const read = parseFigure(strip(text), { min, max });
    return read.ok && whole ? { ...read, value: Math.round(read.value) } : read;
  };
  const format = (value: number) => `${whole ? value : Number(value.toFixed(decimals))}${unit ? ` ${unit}` : ''}`;
  return <TypedField {...props} parse={parse} format={format} />;
}

/** A price in the person's own currency. */
export const PriceField = (props: Omit<ComponentProps<typeof FigureField>, 'min' | 'max' | 'clearable'>) => (
  <FigureField {...props} min={0} max={1e6} clearable />
);

export function ChoiceField<V extends string>({
  label,
  value,
  options,
  onCommit,
}: {
  label: string;
  value: V | null;
  options: readonly Option<V>[];
  onCommit: (value: V) => void;
}) {
  const id = useId();
  return (
    <div className={css.choice}>
      <span id={id} className={css.label}>
        {label}
      </span>
      <Segments value={value} options={options} onCommit={onCommit} aria-labelledby={id} />
    </div>
  );
}
