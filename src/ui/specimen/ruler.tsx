import { MM_PER_INCH, type UnitSystem } from '@/core/measure';

const METRIC_STEPS_MM = [10, 20, 50, 100, 200, 500, 1000];
const INCH_STEPS_MM = [1, 2, 6, 12, 24, 48].map((inches) => inches * MM_PER_INCH);
const LEAST_STEP_PX = 42;
const SIGNS: Readonly<Record<UnitSystem, string>> = { metric: 'cm', inch: 'in' };

/** A ruler along the top or the left of the drawing: labelled in cm or inches, zero at the object's corner. */
export function Ruler({
  along,
  lengthMm,
  pxPerMm,
  startPx,
  atPx,
  system,
}: {
  along: 'x' | 'y';
  lengthMm: number;
  pxPerMm: number;
  startPx: number;
  atPx: number;
  system: UnitSystem;
}) {
  const steps = system === 'inch' ? INCH_STEPS_MM : METRIC_STEPS_MM;
  const step = steps.find((mm) => mm * pxPerMm >= LEAST_STEP_PX) ?? steps[steps.length - 1]!;
  const minor = step / (system === 'inch' ? 4 : 5);
  const ticks = Array.from({ length: Math.floor(lengthMm / minor + 1e-6) + 1 }, (_, index) => index * minor);
  const place = (mm: number) => startPx + mm * pxPerMm;
  return (
    <g stroke="var(--muted)" strokeWidth={1} fontSize={11} fill="var(--muted)" aria-hidden>
      {ticks.map((mm, index) => {
        const major = index % Math.round(step / minor) === 0;
        const length = major ? 9 : 4;
        const at = Math.round(place(mm)) + 0.5;
        const line =
          along === 'x'
            ? { x1: at, x2: at, y1: atPx - length, y2: atPx }
            : { y1: at, y2: at, x1: atPx - length, x2: atPx };
        return <line key={index} {...line} />;
      })}
      <g stroke="none">
        {ticks
          .filter((_, index) => index % Math.round(step / minor) === 0)
          .map((mm) => {
            const text = system === 'inch' ? Math.round(mm / MM_PER_INCH) : mm / 10;
            return along === 'x' ? (
              <text key={mm} x={place(mm)} y={atPx - 12} textAnchor="middle">
                {text}
              </text>
            ) : (
              <text key={mm} x={atPx - 12} y={place(mm) + 4} textAnchor="end">
                {text}
              </text>
            );
          })}
        {along === 'x' && (
          <text x={startPx - 12} y={atPx - 12} textAnchor="end">
            {SIGNS[system]}
          </text>
        )}
      </g>
    </g>
  );
}
