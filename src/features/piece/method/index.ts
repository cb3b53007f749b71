import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { noCards, type StationFeature } from '../station-feature';

export const method: StationFeature = {
  name: STATION_NAMES.method,
  Screen: dynamic(() => import('./method-station').then(({ MethodStation }) => MethodStation)),
  cards: noCards,
};
