import { school } from './school';

export const linerPeel = school({
  id: 'liner-peel',
  removal: 'lift',
  overrides: {
    waitHours: { min: 10, max: 24 },
    clockFloorHours: 0,
    passes: { min: 0, max: 0 },
    faces: ['surface'],
    wholeSurface: true,
    skill: 3,
    tonerKept: 0.96,
  },
  only: { classes: ['wood', 'painted', 'smooth', 'leather', 'wax'], surfaces: ['plaster'] },
  looks: ['crisp'],
  removeSteps: ['try-liner-corner', 'draw-liner-off'],
  sign: 'dry-under-liner',
  prints: ['release-liner'],
  binders: ['fluid-gel', 'furniture-gel', 'acrylic-varnish'],
  pageSized: true,
  needsSmooth: true,
});
