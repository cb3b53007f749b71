import type { Migration } from '../../version';

/** What version 3 adds, as it was when it was shipped: never the defaults of today. */
export const turningToneShapesAdded: Migration = {
  from: 2,
  to: 3,
  name: 'turning, tone, layers, shapes, grain, the look wanted and pages are added',
  migrate: (data) => ({
    ...data,
    picture: {
      ...(data.picture as object),
      turns: 0,
      straightenDeg: 0,
      layers: [],
      tone: { lightness: 0, contrast: 0, gamma: 1, warmth: 0, mono: null, fade: 'none', fadeMm: 12, compensate: 0 },
    },
    surface: {
      ...(data.surface as object),
      shape: { kind: 'rectangle' },
      bareColour: null,
      grain: { angleDeg: 0, shiftXMm: 0, shiftYMm: 0, spacingMm: null, knots: 1, seed: 1 },
    },
    method: { ...withoutGessoForPaper(data.method as { binder?: unknown; school?: unknown }), look: 'any', tryOn: [] },
    sheet: { ...(data.sheet as object), custom: { widthMm: 210, heightMm: 297 }, overlapMm: 10 },
  }),
};

/** Version 2 could name gesso for paper prints, which was always refused; it is a bed for film. */
const withoutGessoForPaper = (method: { binder?: unknown; school?: unknown }) =>
  method.binder === 'gesso' ? { ...method, binder: null, school: null } : method;
