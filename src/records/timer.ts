import Joi from 'joi';

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

const instant = () => Joi.number().min(0).max(8.64e15).required();
const TIMER_SCHEMA = Joi.object({
  id: Joi.string().max(80).required(), label: Joi.string().max(200).required(), pieceId: Joi.string().max(80).allow(null).required(), step: Joi.string().max(200).allow(null).required(),
  startedAt: instant(), endsAt: instant(), pausedLeftMs: Joi.number().min(0).allow(null).required(), rangAt: Joi.number().min(0).allow(null).required(),
});

/** Null for what is no timer. */
export const readTimer = (data: unknown): BenchTimer | null => (TIMER_SCHEMA.validate(data, { convert: false }).error ? null : (data as BenchTimer));
