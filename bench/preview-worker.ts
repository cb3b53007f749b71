/**
 * Runs in a worker of headless Chromium: grounds once, then the re-render after a slider move beside a bare copy of the
 * same pixels.
 */
import { SURFACES, surfaceById } from '@/core/craft';
import { PLAIN_TONE, toneTables } from '@/core/raster';
import {
  PLAIN_GRAIN,
  prepareSpecimen,
  layPrintPlain,
  loadLayPrint,
  renderGround,
  renderSpecimen,
  stageOptics,
  type LayPrint,
} from '@/core/render';

const [W, H] = [1200, 833];
const median = (taken: number[]) => taken.sort((a, b) => a - b)[Math.floor(taken.length / 2)];
const timed = (times: number, run: (i: number) => void): number => {
  for (let i = 0; i < 5; i++) run(i);
  return median(
    Array.from({ length: times }, (_, i) => {
      const from = performance.now();
      run(i);
      return performance.now() - from;
    }),
  );
};

const grounds = SURFACES.map(({ id, bareColour }) => {
  const from = performance.now();
  renderGround({ surface: id, colour: bareColour, grain: PLAIN_GRAIN, coat: null }, W, H, 0.25);
  return [id, performance.now() - from] as const;
});
const prepared = prepareSpecimen({
  look: { surface: 'soft-wood', colour: surfaceById('soft-wood').bareColour, grain: PLAIN_GRAIN, coat: null },
  widthPx: W,
  heightPx: H,
  mmPerPx: 0.25,
  print: { x: 0, y: 0, width: W, height: H },
  opaqueWhite: null,
  worn: 0.01,
  wetsFace: true,
  fade: 'none',
  fadeMm: 0,
});
const picture = Uint8ClampedArray.from({ length: W * H * 4 }, (_, i) => (i * 7919) % 256);
const out = new Uint8ClampedArray(W * H * 4);
const optics = stageOptics('matte');
const withKernel = (lay: LayPrint) =>
  timed(31, (i) =>
    renderSpecimen(
      prepared,
      { picture, tone: toneTables({ ...PLAIN_TONE, gamma: 1 + i / 100 }), kept: 0.95, optics },
      optics.sheen,
      out,
      lay,
    ),
  );
const render = withKernel(loadLayPrint());
const [plain, copy] = [withKernel(layPrintPlain), timed(31, () => out.set(picture))];
postMessage({ grounds, render, plain, copy, megapixels: (W * H) / 1e6 });
