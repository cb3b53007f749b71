/** The ten stations in working order. The plan and all that follows from it are folds over this registry. */
import type { PiecePlan, StationId } from './answers';
import { cure } from './cure';
import { keep } from './keep';
import { lay } from './lay';
import { mend } from './mend';
import { method } from './method';
import { picture } from './picture';
import { rub } from './rub';
import { seal } from './seal';
import { sheet } from './sheet';
import type { Station } from './station';
import { surface } from './surface';

const REGISTRY = { picture, surface, method, sheet, lay, cure, rub, mend, seal, keep } satisfies {
  [Id in StationId]: { id: Id };
};

/** A station as the folds see it: its answer is computed from whatever stands before it. */
export type AnyStation = Omit<Station<StationId>, 'answer'> & {
  answer: (...given: [Parameters<Station<StationId>['answer']>[0], PiecePlan]) => PiecePlan[StationId];
};

export const STATION_REGISTRY: Readonly<Record<StationId, AnyStation>> = REGISTRY;
export const STATIONS = Object.keys(REGISTRY) as readonly StationId[];

export type * from './answers';
export { letteringOf } from './picture';
export {
  PAINT_AGES,
  applyPatch,
  dueAt,
  type Draw,
  type FaultNote,
  type Job,
  type JobPatch,
  type KeptProof,
  type Motif,
  type PaintAge,
  type PictureFacts,
  type RubbedPass,
  type ShopOrder,
  type StepDone,
  type TryOn,
} from './job';
export {
  PREP_CODES,
  readStep,
  stepKey,
  stepText,
  type PrepCode,
  type StepCode,
  type StepId,
  type StepText,
} from './step';
export { WORKS, labourOf, type Labour, type Work } from './labour';
export { stationOf } from './station-of';
export type {
  Missing,
  MissingCode,
  NextCode,
  NextStep,
  StashNeed,
  StationState,
  StationStep,
  StepTitle,
  StepWait,
} from './station';
export { measuredSteps } from './keep';
export { isRubbed, passDryAt } from './rub';
export { isSealed } from './seal';
export { isPrintRefused } from './sheet';
export { sealDatesOf } from './seal-dates';
export type { PrepStep } from './surface/preparation';
export { asksPaintAge } from './surface/preparation';
export { motifKey } from './surface/placement';
export { groundColourOf, printCurves, printTables, surfaceLook } from './surface/ground';
