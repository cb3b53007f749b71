import type { Migration } from '../../version';
import { conditionsSettled } from './conditions-settled';
import { oneMarginToFour } from './one-margin-to-four';
import { paintAndSheenAdded } from './paint-and-sheen-added';
import { printAsAtHand } from './print-as-at-hand';
import { printFormAdded } from './print-form-added';
import { readingsAndFaultsAdded } from './readings-and-faults-added';
import { schoolsNamed } from './schools-named';
import { setsAndTemplatesAdded } from './sets-and-templates-added';
import { tracedFaceAdded } from './traced-face-added';
import { turningToneShapesAdded } from './turning-tone-shapes-added';
import { verdictsOverruled } from './verdicts-overruled';
import { workAdded } from './work-added';

/** From each version to the next. Never edited once shipped. */
export const PIECE_MIGRATIONS: readonly Migration[] = [
  oneMarginToFour,
  turningToneShapesAdded,
  printFormAdded,
  workAdded,
  schoolsNamed,
  paintAndSheenAdded,
  readingsAndFaultsAdded,
  tracedFaceAdded,
  setsAndTemplatesAdded,
  verdictsOverruled,
  conditionsSettled,
  printAsAtHand,
];
