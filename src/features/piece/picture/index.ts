import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { noCards, type StationFeature } from '../station-feature';

export const picture: StationFeature = {
  name: STATION_NAMES.picture,
  Screen: dynamic(() => import('./picture-station').then(({ PictureStation }) => PictureStation)),
  cards: noCards,
};
