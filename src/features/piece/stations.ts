import type { StationId } from '@/core/stations';
import { cure } from './cure';
import { keep } from './keep';
import { lay } from './lay';
import { mend } from './mend';
import { method } from './method';
import { picture } from './picture';
import { rub } from './rub';
import { seal } from './seal';
import { sheet } from './sheet';
import type { StationFeature } from './station-feature';
import { surface } from './surface';

/** Every station's name, screen and bench cards. */
export const STATION_FEATURES: Readonly<Record<StationId, StationFeature>> = {
  picture,
  surface,
  method,
  sheet,
  lay,
  cure,
  rub,
  mend,
  seal,
  keep,
};
