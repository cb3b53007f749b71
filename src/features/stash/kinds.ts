import type { ItemKind } from '@/records';
import { say } from '@/words/say';

export const KIND_NAMES: Readonly<Record<ItemKind, string>> = {
  binder: say`Gels and glues`,
  sealer: say`Sealers`,
  paint: say`Paints`,
  paper: say`Papers`,
  blank: say`Boards, jars, canvases`,
  tool: say`Tools`,
  printer: say`Printers`,
  oven: say`Ovens`,
  brush: say`Brushes`,
};
