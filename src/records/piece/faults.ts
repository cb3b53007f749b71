import type Joi from 'joi';
import { FAULT_CAUSE_IDS, FAULT_REMEDIES, FAULT_SIGNS } from '@/core/craft';
import type { FaultNote, Job } from '@/core/stations';
import { instant, item, list, maybe, oneOf, section } from '../fields';

type Faults = Job['faults'];

export const newFaults = (): Faults => ({ notes: [] });

export const MOST_FAULT_NOTES = 60;

export const faultsSection = (): Joi.ObjectSchema<Faults> =>
  section<Faults>({
    notes: list(
      item<FaultNote>({
        at: instant(),
        signs: list(oneOf(...FAULT_SIGNS), FAULT_SIGNS.length),
        cause: oneOf(...FAULT_CAUSE_IDS),
        remedy: maybe(oneOf(...FAULT_REMEDIES)),
      }),
      MOST_FAULT_NOTES,
    ),
  });
