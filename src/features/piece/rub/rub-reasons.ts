import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { BINDER_WORDS } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';

type Map = NonNullable<PiecePlan['rub']['map']>;

/** Why so many passes, minutes and sections. */
export function rubReasons({ rub }: Piece, plan: PiecePlan): ReasonLine[] {
  const { rubbing, map } = plan.rub;
  const { binder } = plan.method;
  if (!rubbing || !binder || !plan.surface.print || rubbing.passes.length === 0) return [];
  return [
    {
      figure: `${rubbing.passes.length}`,
      text: usualWords(rubbing.usual, BINDER_WORDS[binder.id].inText),
      overruled: rub.passes !== null,
    },
    ...(rubbing.extraForPaper > 0 ? [{ figure: `+ ${rubbing.extraForPaper}`, text: say`for the heavier paper` }] : []),
    { figure: say`${rubbing.minutesTotal} min`, text: say`of rubbing in all; the first pass takes longest` },
    {
      figure: formatDuration(rubbing.betweenMinutes / 60),
      text: say`of drying between passes: paper and ground dry, not the gel or glue; wet paper is invisible`,
    },
    {
      figure: formatDuration(rubbing.dryOutMinutes / 60),
      text: say`after the last pass, before it is sanded, painted or sealed: the piece itself is damp`,
    },
    sectionsOf(map?.sections.length ?? 1),
    ...(map ? pausesOf(map) : []),
  ];
}

const usualWords = ({ min, max }: { min: number; max: number }, binder: string): string =>
  min === max ? say`passes; ${min} are usual for ${binder}` : say`passes; ${min} to ${max} are usual for ${binder}`;

const sectionsOf = (sections: number): ReasonLine => ({
  figure: `${sections}`,
  text: sections === 1 ? say`section: damp it whole` : say`sections, damped one after the other, from a light corner`,
});

function pausesOf({ sections, sittings }: Map): ReasonLine[] {
  const breaks = sections.filter(({ breakBefore }) => breakBefore).length;
  const lines: ReasonLine[] = [];
  if (breaks > 0)
    lines.push({
      figure: `${breaks}`,
      text: breaks === 1 ? say`break for the fingertips` : say`breaks for the fingertips`,
    });
  if (sittings > 1) lines.push({ figure: `${sittings}`, text: say`sittings: more than an hour at a time is too long` });
  return lines;
}
