import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { SHEEN_WORDS, counted, type Wording } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';

type Sealing = NonNullable<PiecePlan['seal']['sealing']>;

/** Why so many coats of so much, and how long they take to harden. */
export function sealReasons({ seal }: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { sealing } = plan.seal;
  const { blank, faceMm2 } = plan.surface;
  if (!sealing || sealing.sealer.bare || !blank) return [];
  const { sealer } = sealing;
  const clearsPaper = (plan.method.school?.glossClears ?? false) && seal.sheen === null;
  return [
    {
      figure: units.area(faceMm2),
      text: faceMm2 > blank.areaMm2 + 1 ? say`the whole face, and its bare sides` : say`the whole face`,
    },
    ...(clearsPaper ? [{ figure: say`gloss`, text: say`clears the paper that the peel leaves; two coats of it` }] : []),
    {
      figure: units.volume(sealing.volumeMlPerCoat),
      text: say`each coat, ${units.film(sealer.filmUm)} wet; ${units.coverage(sealing.bottleCoversM2)}`,
    },
    {
      figure: counted(sealing.coats, 'coat', 'coats'),
      text:
        sealer.coats.min === sealer.coats.max
          ? say`as usual`
          : say`${sealer.coats.min} to ${sealer.coats.max} are usual`,
      overruled: seal.coats !== null,
    },
    { figure: formatDuration(sealing.betweenHours), text: say`between coats in this room` },
    hardening(sealing),
    { figure: SHEEN_WORDS[plan.method.sheen].inText, text: SHEEN_WORDS[plan.method.sheen].effect },
  ];
}

const hardening = ({ lightUseDays, fullCureDays }: Sealing): ReasonLine => ({
  figure: say`${Math.ceil(fullCureDays)} days`,
  text:
    lightUseDays < fullCureDays
      ? say`until it is fully hard; light use after ${Math.ceil(lightUseDays)}`
      : say`until it is fully hard`,
});
