import { nextStep, isLaid, need, WITHOUT_STEPS, type Station } from './station';
import { lacksPicture } from './lacking';
import type { Job } from './job';

/** What must not read backwards: on the photo as the person says, or lettering added that is moved with the print. */
export const letteringOf = ({ picture: { lettering, layers } }: Pick<Job, 'picture'>): 'yes' | 'no' | null =>
  layers.some(({ kind, mode }) => kind === 'text' && mode === 'transfer') ? 'yes' : lettering;

const isAnswered = (job: Job): boolean => job.picture.pictureId !== null && letteringOf(job) !== null;

export const picture: Station<'picture'> = {
  ...WITHOUT_STEPS,
  id: 'picture',
  answer: ({ picture: facts }) => ({ facts }),
  missing: (job) => {
    const lacks = lacksPicture(job);
    return [...lacks, ...need(lacks.length === 0 && letteringOf(job) === null, 'lettering', 'picture')];
  },
  state: (job, plan) => {
    if (!job.picture.pictureId) return 'not-yet';
    return isAnswered(job) && plan.surface.print?.verdict !== 'soft' ? 'done' : 'doubtful';
  },
  // A soft picture is a doubt, not a stop.
  isBehind: (job) => isLaid(job) || isAnswered(job),
  next: (job) => nextStep(job.picture.pictureId === null ? 'choose-picture' : 'answer-lettering', 'picture'),
  cautions: () => ['picture-rights'],
};
