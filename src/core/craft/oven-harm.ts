/** What heat does to a surface, a finish or a base coat. Source: bench practice. */
export type OvenHarm =
  'cloth' | 'unknown-paint' | 'leather' | 'candle' | 'wall-paint' | 'slick-finish' | 'glued-frame' | 'acrylic-base';
