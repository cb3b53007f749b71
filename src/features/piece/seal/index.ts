import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { sealCards } from './bench-cards';

export const seal: StationFeature = {
  name: STATION_NAMES.seal,
  Screen: dynamic(() => import('./seal-station').then(({ SealStation }) => SealStation)),
  cards: sealCards,
};
