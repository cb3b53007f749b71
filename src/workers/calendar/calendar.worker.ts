import { expose } from 'comlink';
import { readBusyTimes } from '@/storage/busy';
import type { CalendarJob } from './protocol';

const job: CalendarJob = { busy: readBusyTimes };

expose(job);
