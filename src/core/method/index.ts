export { rankMethods, type Candidate, type Reason } from './candidates';
export type { MethodContext } from './context';
export type { Refusal, RefusalCode } from './refusals';
