/**
 * Passes and minutes of rubbing. The binder's typical passes at 80 g/m² paper, one more for every 15 g/m² above; about
 * 12 min for the first pass over a letter-size print and half that for each later one; between passes 10 min to 1 h of
 * drying, by room and film. Fingertips sore after 30–40 min. Source: bench practice; the person's own log corrects it.
 */
import { nominalFilmUm, type BinderRecord, type PrintRecord } from '@/core/craft';
import { dryingFactor, type Room } from '@/core/cure';
import { clamp } from '@/core/shared';

interface RubPass {
  number: number;
  minutes: number;
  dampenMinutes: number;
  dryMinutes: number;
}

export interface RubPlan {
  passes: readonly RubPass[];
  usual: { min: number; max: number };
  extraForPaper: number;
  minutesTotal: number;
  /** Sections to dampen one after the other: about half a letter sheet each. */
  sections: number;
  breaks: number;
}

export interface RubInput {
  binder: BinderRecord;
  print: PrintRecord;
  areaMm2: number;
  room: Room;
  passes: number | null;
}

const LETTER_MM2 = 215.9 * 279.4;
const FIRST_PASS_MINUTES = 12;
const LATER_SHARE = 0.5;
const PLAIN_PAPER_GSM = 80;
const GSM_PER_PASS = 15;
const SORE_MINUTES = 35;
const FIRST_DAMPEN_MINUTES = 2;
const LATER_DAMPEN_MINUTES = 1;
const BETWEEN_MINUTES = { least: 10, nominal: 25, most: 60 };
const REFERENCE_FILM_UM = 225;

export function rubPlan({ binder, print, areaMm2, room, passes }: RubInput): RubPlan {
  const extraForPaper = Math.max(0, Math.round((print.weightGsm - PLAIN_PAPER_GSM) / GSM_PER_PASS));
  const usual = { min: binder.passes.min + extraForPaper, max: binder.passes.max + extraForPaper };
  const count = passes ?? usual.max;
  const letters = areaMm2 / LETTER_MM2;
  const dryMinutes = betweenPassesMinutes(binder, room);
  const list = Array.from({ length: count }, (_, index): RubPass => ({
    number: index + 1,
    minutes: Math.max(1, Math.round(FIRST_PASS_MINUTES * letters * (index === 0 ? 1 : LATER_SHARE))),
    dampenMinutes: index === 0 ? FIRST_DAMPEN_MINUTES : LATER_DAMPEN_MINUTES,
    dryMinutes,
  }));
  const minutesTotal = list.reduce((total, pass) => total + pass.minutes, 0);
  return {
    passes: list,
    usual,
    extraForPaper,
    minutesTotal,
    sections: Math.max(1, Math.ceil(letters * 2)),
    breaks: Math.floor(minutesTotal / SORE_MINUTES),
  };
}

function betweenPassesMinutes(binder: BinderRecord, room: Room): number {
  const factor = dryingFactor(nominalFilmUm(binder) / REFERENCE_FILM_UM, room, 1).total;
  return Math.round(clamp(BETWEEN_MINUTES.nominal * factor, BETWEEN_MINUTES.least, BETWEEN_MINUTES.most) / 5) * 5;
}
