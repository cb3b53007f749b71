import type { ToolId } from '@/core/craft';
import { said } from '../say';

const TOOL_NAMES: Readonly<Record<ToolId, string>> = said({
  'sandpaper-120-and-220': 'sandpaper 120 and 220',
  'dust-cloth': 'dust cloth',
  'foam-or-soft-brush': 'foam or soft brush',
  'metal-ruler': 'metal ruler',
  'scissors-or-craft-knife': 'scissors or craft knife',
  'cutting-mat': 'cutting mat',
  pencil: 'pencil',
  'flexible-card-or-roller': 'flexible card or roller',
  'baking-parchment': 'baking parchment',
  'plastic-sheet': 'plastic sheet',
  'kitchen-towel': 'kitchen towel',
  'sponge-soft-side': 'sponge, soft side',
  'terry-cloth': 'terry cloth',
  'bowl-of-lukewarm-water': 'bowl of lukewarm water',
  'fan-or-hair-dryer': 'fan or hair dryer',
  'fine-brush': 'fine brush',
  'acrylic-colours': 'acrylic colours',
  'sandpaper-320-400': 'sandpaper 320–400',
  'soft-flat-brush': 'soft flat brush',
  'lead-test-kit': 'lead test kit',
  'dust-mask': 'dust mask',
  'thinned-wood-glue-or-the-binder': 'thinned wood glue or gel',
  'small-brush': 'small brush',
  'rubbing-alcohol-or-dish-soap': 'rubbing alcohol or dish soap',
  'lint-free-cloth': 'lint-free cloth',
  'wire-brush': 'wire brush',
  'stiff-brush': 'stiff brush',
  water: 'water',
  'washing-machine': 'washing machine',
  iron: 'iron',
  tape: 'tape',
  'dust-cloth-or-soft-brush': 'dust cloth or soft brush',
  'foam-brush': 'foam brush',
  'the-paint': 'the paint',
  'sandpaper-320': 'sandpaper 320',
});

/** “metal ruler, scissors”. */
export const toolList = (tools: readonly ToolId[]): string => tools.map((tool) => TOOL_NAMES[tool]).join(', ');
