import type { StationId } from './answers';
import type { StepId } from './step';

const STATION_OF: Readonly<Record<StepId['kind'], StationId>> = {
  prepare: 'surface',
  print: 'sheet',
  'heat-set': 'sheet',
  bed: 'lay',
  lay: 'lay',
  pass: 'rub',
  remove: 'rub',
  stick: 'rub',
  trace: 'mend',
  mend: 'mend',
  coat: 'seal',
};

export const stationOf = (step: StepId): StationId => STATION_OF[step.kind];
