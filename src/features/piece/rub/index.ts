import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { rubCards } from './bench-cards';

export const rub: StationFeature = {
  name: STATION_NAMES.rub,
  Screen: dynamic(() => import('./rub-station').then(({ RubStation }) => RubStation)),
  cards: rubCards,
};
