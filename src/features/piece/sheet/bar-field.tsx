import { BAR_MM, drawnBarMm } from '@/core/at-hand';
import { MM_PER_INCH, parseLengthMm } from '@/core/measure';
import { TypedField, useUnits, type TypedFieldProps } from '@/ui';

/** A printed bar as it was measured: as long as it is drawn for the person's ruler, kept as a bar of 100 mm would be. */
export function BarField({
  minMm,
  maxMm,
  ...props
}: Omit<TypedFieldProps<number>, 'parse' | 'format'> & { minMm: number; maxMm: number }) {
  const { system } = useUnits();
  const scale = drawnBarMm(system) / BAR_MM;
  return (
    <TypedField
      {...props}
      parse={(text) => {
        const read = parseLengthMm(text, system, { minMm: minMm * scale, maxMm: maxMm * scale }, 'mm');
        return read.ok ? { ...read, value: read.value / scale } : read;
      }}
      format={(mm) =>
        system === 'inch'
          ? `${Number(((mm * scale) / MM_PER_INCH).toFixed(3))} in`
          : `${Number((mm * scale).toFixed(1))} mm`
      }
    />
  );
}
