// Draws the icons of the installed program from src/app/icon.svg into public/icons. Run by the build.
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';

const ROOT = join(import.meta.dirname, '..');
const OUT = join(ROOT, 'public', 'icons');
const icon = readFileSync(join(ROOT, 'src', 'app', 'icon.svg'));
const PLUM = '#5B2D5E';
const at = (px) => sharp(icon, { density: (72 * px) / 32 }).resize(px, px);

mkdirSync(OUT, { recursive: true });
for (const px of [192, 512])
  await at(px)
    .png()
    .toFile(join(OUT, `icon-${px}.png`));
// Systems cut these to a shape of their own: what matters stays in the middle.
for (const px of [192, 512]) {
  const edge = Math.round(px * 0.12);
  await at(px - 2 * edge)
    .extend({ top: edge, bottom: edge, left: edge, right: edge, background: PLUM })
    .flatten({ background: PLUM })
    .png()
    .toFile(join(OUT, `icon-maskable-${px}.png`));
}
