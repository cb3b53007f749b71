import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { mendCards } from './bench-cards';

export const mend: StationFeature = {
  name: STATION_NAMES.mend,
  Screen: dynamic(() => import('./mend-station').then(({ MendStation }) => MendStation)),
  cards: mendCards,
};
