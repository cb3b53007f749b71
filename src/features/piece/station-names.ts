import type { StationId } from '@/core/plan';

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  picture: 'Picture', surface: 'Surface', method: 'Method', sheet: 'Sheet', lay: 'Lay', cure: 'Cure', rub: 'Rub', mend: 'Mend', seal: 'Seal', keep: 'Keep',
};
