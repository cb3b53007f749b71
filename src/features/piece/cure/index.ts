import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { noCards, type StationFeature } from '../station-feature';

export const cure: StationFeature = {
  name: STATION_NAMES.cure,
  Screen: dynamic(() => import('./cure-station').then(({ CureStation }) => CureStation)),
  cards: noCards,
};
