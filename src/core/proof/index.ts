export { judgeProof, type PageSide, type ProofReading, type ProofReason, type ProofVerdict } from './verdict';
export { DENSITY, readProof, type ExpectedPage, type ProofCode } from './read-proof';
export type { Rgba } from './raster';
