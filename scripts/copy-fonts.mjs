// Puts the lettering fonts where the program serves them. Run by the build; they ship with it and nothing is fetched
// from elsewhere.
import { copyFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..');
const FONTS = {
  oswald: 500,
  'playfair-display': 600,
  'im-fell-english': 400,
  'dancing-script': 600,
  'special-elite': 400,
  'alfa-slab-one': 400,
  'stardos-stencil': 700,
};

mkdirSync(join(ROOT, 'public', 'lettering'), { recursive: true });
for (const [name, weight] of Object.entries(FONTS)) {
  copyFileSync(
    join(ROOT, 'node_modules', '@fontsource', name, 'files', `${name}-latin-${weight}-normal.woff`),
    join(ROOT, 'public', 'lettering', `${name}.woff`),
  );
}
