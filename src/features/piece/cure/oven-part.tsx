'use client';
import { Note, Part, useUnits } from '@/ui';
import { useOpenPiece } from '../piece-context';
import css from './cure.module.css';
import { OVEN_CONDITIONS, OVEN_REFUSALS, OVEN_WORDS, sentences } from '@/words';
import { say } from '@/words/say';

/** Drying in a gentle oven: which cycles the piece can take, and why not. */
export function OvenPart() {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const chosen = plan.cure.ovens.find(({ cycle }) => cycle.id === piece.cure.oven);
  const refusals = [...new Set(plan.cure.ovens.map(({ refusal }) => refusal).filter((refusal) => refusal !== null))];
  const able = plan.cure.ovens.filter(({ refusal }) => refusal === null);
  return (
    <Part
      title={say`Oven`}
      folded={
        chosen
          ? units.temperature(chosen.cycle.temperatureC)
          : able.length === 0
            ? say`not for this piece`
            : say`not used`
      }
    >
      {able.length === 0 && refusals[0] && (
        <Note>{sentences(say`Not for this piece.`, OVEN_REFUSALS[refusals[0]])}</Note>
      )}
      {able.length > 0 && (
        <ul className={css.ovens}>
          {plan.cure.ovens.map(({ cycle, refusal, condition, hours }) => (
            <li key={cycle.id}>
              <button
                type="button"
                disabled={refusal !== null}
                aria-pressed={chosen?.cycle.id === cycle.id}
                onClick={() => change('cure', { oven: chosen?.cycle.id === cycle.id ? null : cycle.id }, say`oven`)}
                data-testid={`oven-${cycle.id}`}
              >{say`${units.temperature(cycle.temperatureC)}, ${Math.round(hours * 60)} min`}</button>
              <span>
                {refusal === null
                  ? sentences(
                      OVEN_WORDS[cycle.id](units.temperature(cycle.temperatureC)),
                      condition && OVEN_CONDITIONS[condition],
                    )
                  : OVEN_REFUSALS[refusal]}
              </span>
            </li>
          ))}
        </ul>
      )}
    </Part>
  );
}
