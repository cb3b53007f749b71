import { TONER_ON_PAPER, school } from './school';

export const varnishBed = school({ id: 'varnish-bed', prints: TONER_ON_PAPER, binders: ['polyurethane'] });
