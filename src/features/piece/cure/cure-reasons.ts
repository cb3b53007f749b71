import { vapourPressureDeficitKpa, type CureWait } from '@/core/cure';
import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { BINDER_WORDS, SURFACE_WORDS, type Wording } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';

/** A factor nearer to 1 than this changes nothing that is shown. */
const NO_FACTOR = 0.005;
/** What the usual air can take up, in kPa. */
const USUAL_DEFICIT = '1.24';

/** Why it waits so long. */
export function cureReasons(piece: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { wait } = plan.cure;
  const { binder } = plan.method;
  if (!wait || !binder || !plan.surface.record) return [];
  const floor = wait.floorHours > 0 ? [{ figure: `≥ ${wait.floorHours} h`, text: say`floor of this gel or glue` }] : [];
  return [...ofRule(wait, piece, plan, units), ...floor];
}

function ofRule(wait: CureWait, piece: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const figure = formatDuration(wait.likelyHours);
  switch (wait.rule) {
    case 'soak':
      return wait.likelyHours > 0 ? [{ figure, text: say`in the bath: neither room nor fan changes it` }] : [];
    case 'cool':
      return wait.likelyHours > 0 ? [{ figure, text: say`until it is cool to the hand` }] : [];
    case 'none':
      return wait.likelyHours > 0 ? [{ figure, text: '' }] : [];
    case 'open':
      return [
        {
          figure: formatDuration(wait.baseHours.max),
          text: say`for paint in open air at ${units.temperature(21)} and 50 %`,
        },
        { figure: times(wait.factor.total), text: say`this room` },
      ];
    case 'oven':
      return [{ figure, text: say`of the oven’s cycle, heating and cooling included`, overruled: true }];
    case 'label':
      return [{ figure, text: say`from the label or your own log, as it stands`, overruled: true }];
    default:
      return ofModel(wait, piece, plan, units);
  }
}

/** The binder's hours, and one line for each thing that lengthens or shortens them. */
function ofModel(wait: CureWait, piece: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { factor } = wait;
  const { min, max } = wait.baseHours;
  const isOff = (value: number) => Math.abs(value - 1) > NO_FACTOR;
  const lines: (ReasonLine | false)[] = [
    {
      figure: min === max ? formatDuration(max) : `${min}–${max} h`,
      text: say`${binderName(plan)} at ${units.temperature(21)} and 50 %`,
    },
    { figure: factor.room > 99 ? '× ∞' : times(factor.room), text: roomText(wait, plan, units) },
    { figure: times(factor.surface), text: groundText(plan) },
    isOff(factor.film) && {
      figure: times(factor.film),
      text: say`your film against the usual one`,
      overruled: piece.lay.filmUm !== null,
    },
    factor.cover !== 1 && {
      figure: times(factor.cover),
      text: piece.cure.cover === 'weighted' ? say`a weight lies on it` : say`it is covered or stacked`,
    },
    isOff(wait.signShare) && {
      figure: times(wait.signShare),
      text: say`by what you saw and felt on it`,
      overruled: true,
    },
    factor.air !== 1 && { figure: times(factor.air), text: say`a fan moves the air` },
    {
      figure: `= ${times(factor.total)}`,
      text: factor.limited ? say`held within 0.4 and 4, where the model can be trusted` : say`together`,
    },
  ];
  return lines.filter((line) => line !== false);
}

const times = (factor: number): string => `× ${factor.toFixed(2)}`;

const binderName = ({ method: { binder } }: PiecePlan): string => (binder ? BINDER_WORDS[binder.id].inText : '');

function roomText(wait: CureWait, plan: PiecePlan, units: Wording): string {
  if (wait.changing) return say`the room hour by hour, on average over the likely wait`;
  if (units.system === 'inch') return say`this room’s air, against ${units.temperature(21)} and 50 %`;
  const deficit = vapourPressureDeficitKpa(plan.lay.room).toFixed(2);
  return say`this room: its air can take up ${deficit} kPa of water, against ${USUAL_DEFICIT} kPa`;
}

/** What the coat lies on: the bare stuff, or what has closed it. */
function groundText({ surface: { record, ground }, method: { binder } }: PiecePlan): string {
  if (!record) return '';
  if (binder?.bedCoat) return say`on its own dried bed, whatever lies under it`;
  const name = SURFACE_WORDS[record.id].inText;
  return ground === record ? name : say`${name}, closed by its paint`;
}
