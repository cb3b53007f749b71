import Joi from 'joi';
import { atFirstUse } from '@/core/shared';
import { instant, maybe, section } from './fields';

/** A timer at the bench. Instants by the program's clock, epoch ms. */
export interface BenchTimer {
  id: string;
  label: string;
  pieceId: string | null;
  /** The step it belongs to, `piece/step`; null for one of its own. */
  step: string | null;
  startedAt: number;
  endsAt: number;
  /** Left when it was stopped; null while it runs. */
  pausedLeftMs: number | null;
  /** When it rang; null before. */
  rangAt: number | null;
}

const timerSchema = atFirstUse(() =>
  section<BenchTimer>({
    id: Joi.string().max(80).required(),
    label: Joi.string().max(200).required(),
    pieceId: maybe(Joi.string().max(80)),
    step: maybe(Joi.string().max(200)),
    startedAt: instant(),
    endsAt: instant(),
    pausedLeftMs: maybe(Joi.number().min(0)),
    rangAt: maybe(Joi.number().min(0)),
  }),
);

/** Null for what is no timer. */
export function readTimer(data: unknown): BenchTimer | null {
  const checked = timerSchema().validate(data, { convert: false });
  return checked.error ? null : checked.value;
}
