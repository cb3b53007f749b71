export { rankMethods, type Candidate, type Reason } from './candidates';
export { NOTHING_SAID, type AtHand, type LookWanted, type MethodContext, type PrinterAtHand } from './context';
export type { Refusal, RefusalCode } from './refusals';
