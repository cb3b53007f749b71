import type { ItemKind } from '@/records';

export const KIND_NAMES: Readonly<Record<ItemKind, string>> = {
  binder: 'Binders',
  sealer: 'Sealers',
  paint: 'Paints',
  paper: 'Papers',
  blank: 'Blanks',
  tool: 'Tools',
  printer: 'Printers',
  oven: 'Ovens',
  brush: 'Brushes',
};
