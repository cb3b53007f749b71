import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { noCards, type StationFeature } from '../station-feature';

export const keep: StationFeature = {
  name: STATION_NAMES.keep,
  Screen: dynamic(() => import('./keep-station').then(({ KeepStation }) => KeepStation)),
  cards: noCards,
};
