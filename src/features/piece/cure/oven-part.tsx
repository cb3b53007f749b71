'use client';
import type { OvenRefusal } from '@/core/cure';
import { Cautions, Note, Part, useUnits } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './cure.module.css';

const WHY: Readonly<Record<OvenRefusal, string>> = {
  'no-shortcut': 'This binder knows no shortcut: it takes its full 24 h.', cloth: 'Cloth does not go in: trims and fillings melt.', leather: 'Leather shrinks.', candle: 'Wax, plastic and batteries never go in.',
  'wall-paint': 'Latex and acrylic wall paint soften and stick.', 'slick-finish': 'Gloss, varnish, wax and oil soften, smell and can burn.', 'glued-frame': 'The canvas is stretched on a glued frame.', 'acrylic-base': 'An acrylic base coat softens: only chalk-type or bake-safe paint goes in.',
  'stone-cycle': 'This short cycle is for tiles and stone.', 'glass-cycle': 'Glass and glaze crack above a gentle heat.', 'too-hot': 'Hotter than your oven or its label allows.',
};

/** Drying in a gentle oven: which cycles the piece can take, and why not. */
export function OvenPart() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const chosen = plan.ovens.find(({ cycle }) => cycle.id === piece.cure.oven);
  const refusals = [...new Set(plan.ovens.map(({ refusal }) => refusal).filter((one) => one !== null))];
  const able = plan.ovens.filter(({ refusal }) => refusal === null);
  return (
    <Part title="Oven">
      {able.length === 0 && refusals[0] && <Note>Not for this piece. {WHY[refusals[0]]}</Note>}
      {able.length > 0 && (
        <ul className={css.ovens}>
          {plan.ovens.map(({ cycle, refusal }) => (
            <li key={cycle.id}>
              <button type="button" disabled={refusal !== null} aria-pressed={chosen?.cycle.id === cycle.id} onClick={() => change('cure', { oven: chosen?.cycle.id === cycle.id ? null : cycle.id }, 'oven')} data-testid={`oven-${cycle.id}`}>{units.temperature(cycle.temperatureC)}, {cycle.heatMinutes + cycle.restMinutes} min</button>
              <span>{refusal === null ? cycle.how : WHY[refusal]}</span>
            </li>
          ))}
        </ul>
      )}
      {chosen && chosen.refusal === null && <Cautions ids={['oven', ...(piece.surface.kind === 'glass' ? (['glass-edges'] as const) : [])]} />}
    </Part>
  );
}
