import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { SHAPE_WORDS, counted, remarks, type Wording } from '@/words';
import { say } from '@/words/say';

/** What the surface does to medium and wait, and what it takes before the print. */
export function surfaceReasons({ surface }: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { record, ground, blank, paintMl } = plan.surface;
  return [
    ...(record ? groundLines(ground ?? record, record.textureMm, units) : []),
    ...(blank ? [{ figure: units.area(blank.areaMm2), text: SHAPE_WORDS[surface.shape.kind].area }] : []),
    ...(paintMl > 0 ? [{ figure: units.volume(paintMl), text: paintWords(plan) }] : []),
  ];
}

function groundLines(
  { absorbency, dryingFactor }: NonNullable<PiecePlan['surface']['ground']>,
  textureMm: number,
  units: Wording,
): ReasonLine[] {
  const lines = [
    { figure: `× ${Number(absorbency.toFixed(2))}`, text: drinksWords(absorbency) },
    { figure: `× ${dryingFactor}`, text: driesWords(dryingFactor) },
  ];
  if (textureMm > 0)
    lines.push({ figure: units.length(textureMm), text: say`grain or weave: finer detail than this is lost` });
  return lines;
}

const drinksWords = (absorbency: number): string => {
  if (absorbency > 1) return say`it drinks more medium than paint does`;
  return absorbency < 1 ? say`it drinks a little less medium than paint` : say`it drinks medium as paint does`;
};

const driesWords = (factor: number): string => {
  if (factor < 1) return say`it dries sooner: water also leaves into it`;
  return factor > 1 ? say`it dries later: water can only leave through the paper` : say`it dries at the usual pace`;
};

function paintWords(plan: PiecePlan): string {
  const coats = plan.surface.preparation.filter(({ coat }) => coat !== null).length;
  const cost = plan.keep.cost.lines.find(({ item }) => item === 'paint');
  return remarks(
    say`of paint in ${counted(coats, 'coat', 'coats')}`,
    cost && say`${cost.amount.toFixed(2)} of your tin`,
  );
}
