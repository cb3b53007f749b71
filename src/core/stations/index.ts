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
import type { Setting, Station } from './station';
import { surface } from './surface';

/** A station as the folds see it. */
type AnyStation = Omit<Station<StationId>, 'answer'>;

export const STATION_REGISTRY: { readonly [Id in StationId]: AnyStation & { id: Id } } = {
  ...{ picture, surface, method, sheet, lay, cure, rub, mend, seal, keep },
};

/** Every station's answer, one after the other: between two of them whoever asks may do something else. */
export function* answering(setting: Setting): Generator<void, PiecePlan> {
  const answers = { picture: picture.answer(setting, {}) };
  yield;
  const withSurface = { ...answers, surface: surface.answer(setting, answers) };
  yield;
  const withMethod = { ...withSurface, method: method.answer(setting, withSurface) };
  yield;
  const withSheet = { ...withMethod, sheet: sheet.answer(setting, withMethod) };
  yield;
  const withLay = { ...withSheet, lay: lay.answer(setting, withSheet) };
  yield;
  const withCure = { ...withLay, cure: cure.answer(setting, withLay) };
  yield;
  const withRub = { ...withCure, rub: rub.answer(setting, withCure) };
  yield;
  const withMend = { ...withRub, mend: mend.answer(setting, withRub) };
  yield;
  const withSeal = { ...withMend, seal: seal.answer(setting, withMend) };
  yield;
  return { ...withSeal, keep: keep.answer(setting, withSeal) };
}

export { STATIONS } from './answers';
export type * from './answers';
export { letteringOf } from './picture';
export {
  PAINT_AGES,
  applyPatch,
  type Settled,
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
export { handsAtLay } from './lay';
export { isRubbed, passDryAt } from './rub';
export { isSealed } from './seal';
export { isPrintRefused } from './sheet';
export { fewerPages, type PagesOffer } from './fewer-pages';
export { sealDatesOf } from './seal-dates';
export type { PrepStep } from './surface/preparation';
export { asksPaintAge } from './surface/preparation';
export { motifKey } from './surface/placement';
export { groundColourOf, printCurves, printTables, surfaceLook } from './surface/ground';
