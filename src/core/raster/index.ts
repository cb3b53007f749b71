export { BAND_ROWS, loadResampler, resample, type PlaneSource, type ResampleCode, type RowSource } from './resample';
export type { ResamplePasses } from './resample-plain';
export {
  PLAIN_TONE,
  applyTone,
  isPlain,
  toneTables,
  type FadeForm,
  type LevelCurves,
  type Tone,
  type ToneTables,
} from './tone';
export { fadeRows, fadeShare } from './fade';
export { bendPixels } from './bend-pixels';
