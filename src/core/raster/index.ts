export { resample, type ResampleCode, type RowSink, type RowSource } from './resample';
