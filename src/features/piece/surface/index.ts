import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { surfaceCards } from './bench-cards';

export const surface: StationFeature = {
  name: STATION_NAMES.surface,
  Screen: dynamic(() => import('./surface-station').then(({ SurfaceStation }) => SurfaceStation)),
  cards: surfaceCards,
};
