import { nextStep, isLaid, need, WITHOUT_STEPS, type Station } from './station';
import { lacksPicture } from './lacking';
import type { Job } from './job';

const isAnswered = ({ picture }: Job): boolean => picture.pictureId !== null && picture.lettering !== null;

export const picture: Station<'picture'> = {
  ...WITHOUT_STEPS,
  id: 'picture',
  answer: ({ picture: facts }) => ({ facts }),
  missing: (job) => {
    const lacks = lacksPicture(job);
    return [...lacks, ...need(lacks.length === 0 && job.picture.lettering === null, 'lettering', 'picture')];
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
