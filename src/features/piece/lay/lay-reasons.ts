import { PAPER_ABSORBENCY } from '@/core/coat';
import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { SURFACE_WORDS, type Wording } from '@/words';
import { say } from '@/words/say';

type Laying = NonNullable<PiecePlan['lay']['laying']>;

/** Why so much is poured, and how long it may be worked. */
export function layReasons({ lay }: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { laying } = plan.lay;
  if (!laying || !plan.method.binder?.wet || !plan.surface.record) return [];
  const { coat } = laying;
  const spoons = units.spoons(coat.totalMl);
  return [
    ...coat.faces.map(({ face, areaMm2, volumeMl }) => ({
      figure: units.area(areaMm2),
      text: `${face === 'paper' ? say`of paper` : coatedWords(laying, lay.extendMm, units)}: ${units.volume(volumeMl)}`,
    })),
    ...(plan.method.binder.coatsPaper
      ? []
      : [{ figure: say`surface only`, text: say`ink that nothing has set runs under a brush: the print stays dry` }]),
    ...(spoons ? [{ figure: units.volume(coat.totalMl), text: say`in kitchen measures: ${spoons}` }] : []),
    { figure: units.film(laying.filmUm), text: say`wet film on each face`, overruled: lay.filmUm !== null },
    ...(coat.bed
      ? [
          {
            figure: units.volume(coat.bed.volumeMl),
            text: say`first coat of ${units.film(coat.bed.filmUm)}, dried before the print`,
          },
        ]
      : []),
    ...drinking(laying, plan),
    { figure: `+ ${Math.round(coat.lossShare * 100)} %`, text: say`stays in brush and pot` },
    workable(laying, units),
  ];
}

const coatedWords = ({ coat }: Laying, extendMm: number, units: Wording): string =>
  coat.wholeFace ? say`of surface, the whole face` : say`of surface, ${units.length(extendMm)} past the print`;

/** What each face takes up more or less than a plain one. */
function drinking({ coat }: Laying, { surface: { ground, record }, method: { binder } }: PiecePlan): ReasonLine[] {
  const lines: ReasonLine[] = [];
  const coats = (which: 'paper' | 'surface') => coat.faces.some(({ face }) => face === which);
  if (ground && record && coats('surface')) {
    const name = SURFACE_WORDS[record.id].inText;
    const onGround = ground === record ? say`${name} drinks` : say`${name} drinks, under its paint`;
    lines.push({
      figure: `× ${Number((binder?.bedCoat ? 1 : ground.absorbency).toFixed(2))}`,
      text: binder?.bedCoat ? say`on the dried bed, which drinks no more` : onGround,
    });
  }
  if (coats('paper')) lines.push({ figure: `× ${PAPER_ABSORBENCY}`, text: say`paper drinks, whatever it is laid on` });
  return lines;
}

const workable = ({ openMinutes, room, spreadMinutes }: Laying, units: Wording): ReasonLine => ({
  figure: say`${Math.floor(openMinutes)} min`,
  text: say`until its top dries at ${units.temperature(room.temperatureC)} and
    ${Math.round(room.humidityPercent)} %; spreading takes about
    ${Math.max(1, Math.round(spreadMinutes))} min`,
});
