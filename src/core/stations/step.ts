/**
 * What a step of the run is: tagged data. Records, agendas and links hold it written as text; this file alone knows
 * how. Text that names no step is a failure, never another step.
 */
import { fail, ok, type Result } from '@/core/shared';

export const PREP_CODES = [
  'lead-test',
  'strip',
  'scuff',
  'sand',
  'fine-sand',
  'dust',
  'label-off',
  'degrease',
  'derust',
  'wash-dry',
  'prewash',
  'seal-edges',
  'under-coat',
  'base-coat',
  'base-coat-2',
  'light-sand',
  'dust-again',
  'lay-flat',
] as const;
export type PrepCode = (typeof PREP_CODES)[number];

export type StepId =
  | { kind: 'prepare'; code: PrepCode }
  | { kind: 'print' }
  | { kind: 'heat-set' }
  | { kind: 'bed' }
  | { kind: 'lay' }
  | { kind: 'pass'; number: number }
  | { kind: 'remove' }
  | { kind: 'stick' }
  | { kind: 'trace'; layerId: string }
  | { kind: 'mend'; part: MendPart }
  | { kind: 'coat'; number: number };

/** Mending in its order: dry edges and fibres sanded, holes repainted, and the last things before the sealer. */
export const MEND_PARTS = ['sand', 'repaint', 'finish'] as const;
export type MendPart = (typeof MEND_PARTS)[number];

/** A step's id as it is written. */
export type StepText = string;
export type StepCode = 'step-unknown';

const PASS = 'pass-';
const TRACE = 'trace-';
const COAT = 'seal-';
const MEND = 'mend-';
/** The last part of mending is written as all of it was before it had parts. */
const MENDED = 'mend';

export function stepText(step: StepId): StepText {
  switch (step.kind) {
    case 'prepare':
      return step.code;
    case 'pass':
      return `${PASS}${step.number}`;
    case 'trace':
      return `${TRACE}${step.layerId}`;
    case 'mend':
      return step.part === 'finish' ? MENDED : `${MEND}${step.part}`;
    case 'coat':
      return `${COAT}${step.number}`;
    default:
      return step.kind;
  }
}

/** @returns `step-unknown` (values.text) for text that names no step */
export function readStep(text: StepText): Result<StepId, StepCode> {
  const step = parse(text);
  return step ? ok(step) : fail('step-unknown', `expected a step, got ${JSON.stringify(text)}`, { values: { text } });
}

const PLAIN_KINDS = ['print', 'heat-set', 'bed', 'lay', 'remove', 'stick'] as const;

function parse(text: StepText): StepId | null {
  const code = PREP_CODES.find((one) => one === text);
  if (code) return { kind: 'prepare', code };
  const plain = PLAIN_KINDS.find((kind) => kind === text);
  if (plain) return { kind: plain };
  if (text === MENDED) return { kind: 'mend', part: 'finish' };
  const part = MEND_PARTS.find((one) => one !== 'finish' && text === `${MEND}${one}`);
  if (part) return { kind: 'mend', part };
  const layerId = after(text, TRACE);
  if (layerId) return { kind: 'trace', layerId };
  const pass = countAfter(text, PASS);
  if (pass !== null) return { kind: 'pass', number: pass };
  const coat = countAfter(text, COAT);
  return coat === null ? null : { kind: 'coat', number: coat };
}

const after = (text: string, prefix: string): string | null =>
  text.startsWith(prefix) && text.length > prefix.length ? text.slice(prefix.length) : null;

/** A count from one on, written without anything else. */
function countAfter(text: string, prefix: string): number | null {
  const digits = after(text, prefix);
  return digits !== null && /^[1-9]\d{0,3}$/.test(digits) ? Number(digits) : null;
}

/** A step of a piece, as the agenda and the bench's links write it. Ids of pieces hold no slash. */
export const stepKey = (pieceId: string, step: StepText): string => `${pieceId}/${step}`;
