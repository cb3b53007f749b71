/**
 * Passes and minutes of rubbing. The binder's typical passes at 80 g/m² paper, one more for every 15 g/m² above; about
 * 12 min for the first pass over a letter-size print and half that for each later one. Between passes paper and ground
 * dry, not the binder: 10 min on sealed or painted faces, 30 on bare wood, an hour on weave and where a porous ground
 * was soaked, at the reference room; a fan or hair dryer cuts it to a third. After the last pass the piece itself is
 * damp: an hour at least, overnight where a porous ground was soaked. Where no water was used, a thin film dries in an
 * hour or two. Source: bench
 * practice; the person's own log corrects it.
 */
import type { BinderRecord, Ground, PrintRecord } from '@/core/craft';
import { REFERENCE_VPD_KPA, vapourPressureDeficitKpa, type Room } from '@/core/cure';
import { clamp, sum } from '@/core/shared';

interface RubPass {
  number: number;
  minutes: number;
  dampenMinutes: number;
  /** Until the next pass can begin; after the last, until it can be mended. */
  dryMinutes: number;
}

export interface RubPlan {
  passes: readonly RubPass[];
  usual: { min: number; max: number };
  /** Passes and minutes as planned before a photo said otherwise. */
  planned: { passes: number; minutes: number };
  extraForPaper: number;
  minutesTotal: number;
  /** Until haze can be seen after any pass. */
  betweenMinutes: number;
  /** Until it can be sanded, painted or sealed after the last. */
  dryOutMinutes: number;
  water: BinderRecord['water'];
}

export interface RubInput {
  binder: BinderRecord;
  print: PrintRecord;
  ground: Pick<Ground, 'porous' | 'passDryMinutes'>;
  /** Of the print, what hands reach: not what is tucked behind. */
  areaMm2: number;
  room: Room;
  passes: number | null;
  /** What a photo of it leaves to do: how many passes it takes in all, and the minutes of the last; null without one. */
  left?: { passes: number; minutes: number | null } | null;
}

const LETTER_MM2 = 215.9 * 279.4;
const FIRST_PASS_MINUTES = 12;
const LATER_SHARE = 0.5;
const PLAIN_PAPER_GSM = 80;
const GSM_PER_PASS = 15;
const FIRST_DAMPEN_MINUTES = 2;
const LATER_DAMPEN_MINUTES = 1;
const SOAKED_POROUS_MINUTES = 60;
const SOAKED_SEALED_MINUTES = 20;
const FAN_SHARE = 1 / 3;
const ROOM_SHARES = { least: 0.5, most: 3 };
const DRY_OUT_MINUTES = { sealed: 60, damp: 120, overnight: 600 };
const FAN_DRY_OUT_SHARE = 0.7;
/** Nothing was wetted: only the thin film itself is still to dry. */
const UNWETTED = { betweenMinutes: 10, dryOutMinutes: 90 };

export function rubPlan({ binder, print, ground, areaMm2, room, passes, left = null }: RubInput): RubPlan {
  const isRubbed = binder.passes.max > 0;
  const extraForPaper = !isRubbed ? 0 : Math.max(0, Math.round((print.weightGsm - PLAIN_PAPER_GSM) / GSM_PER_PASS));
  const usual = { min: binder.passes.min + extraForPaper, max: binder.passes.max + extraForPaper };
  const planned = passes ?? usual.max;
  const count = left?.passes ?? planned;
  const letters = areaMm2 / LETTER_MM2;
  const betweenMinutes = betweenPassesMinutes(binder, ground, room);
  const dryOutMinutes = Math.max(betweenMinutes, dryOut(binder, ground, room));
  const passMinutes = (index: number) =>
    Math.max(1, Math.round(FIRST_PASS_MINUTES * letters * (index === 0 ? 1 : LATER_SHARE)));
  const list = Array.from({ length: count }, (_, index): RubPass => ({
    number: index + 1,
    minutes:
      index + 1 === count && left && left.minutes !== null ? Math.max(1, Math.round(left.minutes)) : passMinutes(index),
    dampenMinutes: dampenMinutes(binder, index),
    dryMinutes: index + 1 === count ? dryOutMinutes : betweenMinutes,
  }));
  const minutesTotal = sum(list.map(({ minutes }) => minutes));
  return {
    passes: list,
    usual,
    planned: {
      passes: planned,
      minutes: sum(Array.from({ length: planned }, (_, index) => passMinutes(index))),
    },
    extraForPaper,
    minutesTotal,
    betweenMinutes,
    dryOutMinutes,
    water: binder.water,
  };
}

const dampenMinutes = ({ water }: BinderRecord, index: number): number => {
  if (water === 'none') return 0;
  return index === 0 ? FIRST_DAMPEN_MINUTES : LATER_DAMPEN_MINUTES;
};

/** The room's air against the reference, within what is believed of a wet face. */
function roomShare(room: Room): number {
  const deficit = vapourPressureDeficitKpa(room);
  return clamp(deficit > 0 ? REFERENCE_VPD_KPA / deficit : Infinity, ROOM_SHARES.least, ROOM_SHARES.most);
}

const toFive = (minutes: number): number => Math.max(5, Math.round(minutes / 5) * 5);

function betweenPassesMinutes({ water }: BinderRecord, ground: RubInput['ground'], room: Room): number {
  if (water === 'none') return toFive(UNWETTED.betweenMinutes * roomShare(room));
  const soaked = ground.porous ? SOAKED_POROUS_MINUTES : SOAKED_SEALED_MINUTES;
  const still = water === 'soak' ? Math.max(soaked, ground.passDryMinutes) : ground.passDryMinutes;
  return toFive(still * roomShare(room) * (room.air === 'fan' ? FAN_SHARE : 1));
}

function dryOut(binder: BinderRecord, ground: RubInput['ground'], room: Room): number {
  const fanned = room.air === 'fan' ? FAN_DRY_OUT_SHARE : 1;
  return Math.max(DRY_OUT_MINUTES.sealed, toFive(stillDryOut(binder, ground) * roomShare(room) * fanned));
}

/** In still air of the reference room, min. */
function stillDryOut({ water }: BinderRecord, { porous }: RubInput['ground']): number {
  if (water === 'none') return UNWETTED.dryOutMinutes;
  const { sealed, damp, overnight } = DRY_OUT_MINUTES;
  if (!porous) return sealed;
  return water === 'soak' ? overnight : damp;
}
