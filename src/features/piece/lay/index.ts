import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { layCards } from './bench-cards';

export const lay: StationFeature = {
  name: STATION_NAMES.lay,
  Screen: dynamic(() => import('./lay-station').then(({ LayStation }) => LayStation)),
  cards: layCards,
};
