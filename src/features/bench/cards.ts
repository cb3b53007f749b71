import { TOOLS, type CautionId } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import type { PiecePlan, RunStep } from '@/core/plan';
import type { Job } from '@/core/plan';
import type { useUnits } from '@/ui';
import { layingWords } from './laying-words';

type Units = ReturnType<typeof useUnits>;

/** One thing to do: in one or two sentences, with its figure, and a timer where time counts. */
export interface BenchCard { id: string; text: string; figure: string | null; timer: { label: string; minutes: number; /** Begins with the hand's first stroke. */ stroke: boolean } | null }

export interface BenchRun { cards: BenchCard[]; cautions: CautionId[]; tools: readonly string[] }

const card = (id: string, text: string, figure: string | null = null, timer: BenchCard['timer'] = null): BenchCard => ({ id, text, figure, timer });
const timer = (label: string, minutes: number, stroke = false): BenchCard['timer'] => ({ label, minutes, stroke });

/** A step of the plan as cards for the bench. */
export function benchRun(step: RunStep, job: Job, plan: PiecePlan, units: Units): BenchRun {
  switch (step.station) {
    case 'surface': return prepare(step, plan);
    case 'sheet': return print(plan, units);
    case 'lay': return lay(step, job, plan, units);
    case 'rub': return rub(step, plan);
    case 'mend': return mend(step, plan);
    default: return seal(step, job, plan, units);
  }
}

function prepare(step: RunStep, plan: PiecePlan): BenchRun {
  const found = plan.preparation.find(({ code }) => code === step.id);
  const cards = [card(step.id, `${step.title}. ${found?.why ?? ''}`, null, timer(step.title, step.handsMinutes))];
  if (step.waitHours > 0) cards.push(card(`${step.id}-wait`, `Then it waits ${formatDuration(step.waitHours)}. Fobbet keeps the time: press Done now.`, formatDuration(step.waitHours)));
  return { cards, cautions: [...(found?.cautions ?? [])], tools: found?.materials ?? [] };
}

function print(plan: PiecePlan, units: Units): BenchRun {
  const pages = plan.sheet?.ok ? plan.sheet.value.pages.length : 1;
  const size = plan.print ? units.size(plan.print.rect.widthMm, plan.print.rect.heightMm) : null;
  return {
    cards: [
      card('print', `Print ${pages === 1 ? 'the page' : `all ${pages} pages`} at 100 %, on ${plan.mirrored ? 'toner, mirrored: lettering must read backwards' : 'paper, the right way round'}.`, `${pages} ${pages === 1 ? 'page' : 'pages'}`),
      card('measure', 'Measure the 100 mm bar, and the print across. If either is off, don’t lay it.', size),
      card('trim', 'Trim along the cut line with knife and metal ruler, so that no white rim is left.'),
    ],
    cautions: ['knife'], tools: TOOLS.sheet,
  };
}

function lay(step: RunStep, job: Job, plan: PiecePlan, units: Units): BenchRun {
  const { lay: planned, binder, school } = plan;
  const cautions: CautionId[] = binder?.id === 'none' ? [] : ['back-of-paper', 'brushes'];
  if (job.surface.kind === 'glass' || job.surface.kind === 'glazed-ceramic') cautions.unshift('glass-edges');
  if (school?.id === 'E2' || plan.cure?.rule === 'oven') cautions.unshift('heat-set');
  if (!planned || !binder || binder.id === 'none') return { cards: (school?.laySteps ?? [step.title]).map((text, index) => card(`lay-${index}`, text)), cautions, tools: TOOLS.lay };
  const wet = planned.steps.filter(({ code }) => (step.id === 'bed' ? ['ready-tools', 'bed-coat', 'wash-brush'].includes(code) : code !== 'bed-coat'));
  const open = timer('Open time: lay before it skins', Math.floor(planned.openMinutes), true);
  let coated = false;
  const cards = wet.map((one) => {
    const first = !coated && (one.code === 'coat-surface' || one.code === 'coat-paper');
    coated ||= first;
    return card(one.code, layingWords(one, binder, units), 'volumeMl' in one ? units.volume(one.volumeMl) : null, first ? open : null);
  });
  if (plan.peel && step.id === 'lay') cards.push(card('peel-window', plan.peel.sign, `${Math.round(plan.peel.fromHours * 60)}–${Math.round(plan.peel.untilHours * 60)} min`, timer('Peel from now on', plan.peel.fromHours * 60)), card('peel-late', 'Peel before this time is up, or it tears.', null, timer('Peel no later than now', plan.peel.untilHours * 60)));
  return { cards, cautions, tools: TOOLS.lay };
}

function rub(step: RunStep, plan: PiecePlan): BenchRun {
  const pass = plan.rub?.passes.find(({ number }) => step.id === `pass-${number}`);
  if (!pass) return { cards: (plan.school?.removeSteps ?? [step.title]).map((text, index) => card(`off-${index}`, text)), cautions: [], tools: TOOLS.rub };
  const peeling = plan.school?.removal === 'peel-and-roll' && pass.number === 1;
  const cards = [
    ...(peeling ? (plan.school?.removeSteps ?? []).slice(0, 2).map((text, index) => card(`peel-${index}`, text)) : []),
    card('damp', 'Damp it with a wrung sponge, a section at a time, from a light corner. Damp, not soaked.', `${pass.dampenMinutes} min`, timer('Damp: let it soften', pass.dampenMinutes)),
    card('rub', 'Roll the paper off with your fingertips in small circles. Brush the rolls aside. Don’t stay on one spot.', `${pass.minutes} min`, timer(`Rub, pass ${pass.number}`, pass.minutes)),
    card('dry', `Let it dry ${pass.dryMinutes} min and look for milky patches. Wet paper is invisible: it looks done when it is not.`, `${pass.dryMinutes} min`),
  ];
  return { cards, cautions: plan.rub && plan.rub.minutesTotal > 30 ? ['fingertips'] : [], tools: TOOLS.rub };
}

function mend(step: RunStep, plan: PiecePlan): BenchRun {
  const repairs = step.id === 'mend' ? plan.repairs.filter(({ expected, id }) => expected && id !== 'trace') : plan.repairs.filter(({ id }) => id === 'trace');
  const cards = repairs.map(({ id, title, how }) => card(id, `${title}. ${how}`));
  return { cards: cards.length ? cards : [card('mend', step.title)], cautions: repairs.some(({ id }) => id === 'outline') ? ['sanding-dust'] : [], tools: TOOLS.mend };
}

function seal(step: RunStep, job: Job, plan: PiecePlan, units: Units): BenchRun {
  const { seal: planned } = plan;
  if (!planned) return { cards: [card('seal', step.title)], cautions: ['label-first'], tools: TOOLS.seal };
  const cautions: CautionId[] = ['no-food', ...(planned.sealer.id === 'spray' ? (['spray'] as const) : []), ...(planned.sealer.id === 'wax' ? (['oily-rags'] as const) : [])];
  return {
    cards: [
      card('dust', 'Dust it off. It must be dry, with no milky patch left.'),
      card('coat', `One thin, even coat of ${planned.sealer.name.charAt(0).toLowerCase()}${planned.sealer.name.slice(1)}${planned.sealer.id === 'wax' ? '' : `, ${job.seal.sheen}`}. Long strokes, one way.`, units.volume(planned.volumeMlPerCoat)),
      card('wait', `Wash the brush. ${step.waitHours > 0 ? `It waits ${formatDuration(step.waitHours)}.` : ''}`, step.waitHours > 0 ? formatDuration(step.waitHours) : null),
    ],
    cautions, tools: TOOLS.seal,
  };
}
