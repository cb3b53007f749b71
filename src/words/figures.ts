import * as measure from '@/core/measure';
import { figure, isolated } from './figure';
import { IS_ENGLISH } from './language';
import { say } from './say';

/** Figures with their units: the figures as the language writes them, the signs of units are the same everywhere. */
const inFigures = (text: string): string => (IS_ENGLISH ? text : isolated(text.replace(/\d+\.\d+/g, figure)));

type Measure = typeof measure;
export const formatLength: Measure['formatLength'] = (mm, system) => inFigures(measure.formatLength(mm, system));
export const formatSize: Measure['formatSize'] = (sizesMm, system) => inFigures(measure.formatSize(sizesMm, system));
export const formatVolume: Measure['formatVolume'] = (ml, system) => inFigures(measure.formatVolume(ml, system));
export const formatFilm: Measure['formatFilm'] = (um, system) => inFigures(measure.formatFilm(um, system));
export const formatTemperature: Measure['formatTemperature'] = (celsius, system) =>
  inFigures(measure.formatTemperature(celsius, system));

/** `45 min`, `9 h 40 min`, “3 days”. @param hours of any length */
export function formatDuration(hours: number): string {
  const text = measure.formatDuration(hours);
  const [, days] = /^(\S+) days$/.exec(text) ?? [];
  return days ? say`${days} days` : isolated(text);
}
