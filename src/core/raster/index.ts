export { resample, type ResampleCode, type RowSink, type RowSource } from './resample';
export { PLAIN_TONE, applyTone, isPlain, isToned, toneTables, type FadeForm, type LevelCurves, type Tone, type ToneTables } from './tone';
export { fadeRows, fadeShare } from './fade';
