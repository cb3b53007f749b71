export { judgeProof, type ProofReading, type ProofReason, type ProofVerdict, type SizeUnread } from './verdict';
export { densityOf } from './density';
export { DENSITY, type ExpectedPage } from './expected-page';
export { readProof, type ProofCode } from './read-proof';
