import dynamic from 'next/dynamic';
import { STATION_NAMES } from '@/words';
import { type StationFeature } from '../station-feature';
import { sheetCards } from './bench-cards';

export const sheet: StationFeature = {
  name: STATION_NAMES.sheet,
  Screen: dynamic(() => import('./sheet-station').then(({ SheetStation }) => SheetStation)),
  cards: sheetCards,
};
