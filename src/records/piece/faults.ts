import { FAULT_CAUSE_IDS, FAULT_REMEDIES, FAULT_SIGNS } from '@/core/craft';
import type { FaultNote, Job } from '@/core/stations';
import { instant, item, list, maybe, oneOf } from '../fields';
import { done, type Fields } from './field';

export const MOST_FAULT_NOTES = 60;

export const FAULTS: Fields<Job['faults']> = {
  notes: done(
    () =>
      list(
        item<FaultNote>({
          at: instant(),
          signs: list(oneOf(...FAULT_SIGNS), FAULT_SIGNS.length),
          cause: oneOf(...FAULT_CAUSE_IDS),
          remedy: maybe(oneOf(...FAULT_REMEDIES)),
        }),
        MOST_FAULT_NOTES,
      ),
    [],
  ),
};
