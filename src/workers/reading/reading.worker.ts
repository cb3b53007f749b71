import { expose } from 'comlink';
import type { ReadingJob } from './protocol';

// Each reader loads for its own kind of file.
const job: ReadingJob = {
  busy: async (...given) => (await import('@/storage/busy')).readBusyTimes(...given),
  stash: async (bytes, now, idSeed, sign) => {
    let count = 0;
    return (await import('@/storage/stash-csv')).readStashCsv(bytes, now, () => `${idSeed}-${count++}`, sign);
  },
  outline: async (text) => (await import('@/core/shape/svg-outline')).readSvgOutline(text),
};

expose(job);
