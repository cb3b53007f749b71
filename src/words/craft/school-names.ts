import type { SchoolId } from '@/core/craft';
import type { Named } from './named';
import { said } from '../say';

export const SCHOOL_NAMES: Readonly<Record<SchoolId, Named>> = said({
  'dry-and-rub': { name: 'Dry and rub', inText: 'dry and rub' },
  'opaque-base': { name: 'Opaque-base dry and rub', inText: 'opaque-base dry and rub' },
  'varnish-bed': { name: 'Varnish bed', inText: 'varnish bed' },
  'quick-varnish': { name: 'Quick varnish', inText: 'quick varnish' },
  'tacky-peel': { name: 'Tacky peel', inText: 'tacky peel' },
  'slip-paper': { name: 'Slip paper', inText: 'slip paper' },
  'tape-decal': { name: 'Tape decal', inText: 'tape decal' },
  'liner-peel': { name: 'Liner peel', inText: 'liner peel' },
  'liner-heat': { name: 'Liner and heat', inText: 'liner and heat' },
  'liner-press': { name: 'Liner wet press', inText: 'liner wet press' },
  'film-bed': { name: 'Film in gesso', inText: 'film in gesso' },
  trace: { name: 'Trace and paint', inText: 'trace and paint' },
});
