import { FULL_CROP, analyse, type Analysis, type PictureRows } from '@/core/picture';
import { toneTables } from '@/core/raster';
import { readyPiece } from '@/testing/builders';
import { planPiece } from '@/core/plan';
import { applyPatch, type Job } from '@/core/stations';
import { findingFigure, findingWords } from '@/words';
import { findingsFor, type FindingId } from './index';

const NOW = Date.UTC(2026, 2, 4);
const FACTS = { widthPx: 1200, heightPx: 900, paleShare: 0, darkShare: 0 };

function drawn(pixel: (x: number, y: number) => number): PictureRows {
  const [w, h] = [600, 450];
  const data = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const v = pixel(x, y);
      data.set([v, v, v, 255], (y * w + x) * 4);
    }
  return { widthPx: w, heightPx: h, readRows: (from, count) => data.subarray(from * w * 4, (from + count) * w * 4) };
}
const onPine = (): Job => {
  const piece = readyPiece();
  return { ...piece, surface: { ...piece.surface, kind: 'soft-wood', finish: 'bare' } };
};
const look = (job: Job, source: PictureRows) => {
  const analysis: Analysis = analyse(source, FULL_CROP, toneTables(job.picture.tone));
  return findingsFor({ job, plan: planPiece(job, FACTS, NOW), analysis });
};
const find = (job: Job, source: PictureRows, id: FindingId) => look(job, source).find((finding) => finding.id === id);

/** Presses remedies of a finding until it is gone, good, or has none left; returns what it says last. */
function pressAll(job: Job, source: PictureRows, id: FindingId, remedyId?: string) {
  let current = job;
  for (let press = 0; press < 12; press++) {
    const finding = find(current, source, id);
    const remedy = finding?.remedies.find((one) => !remedyId || one.id === remedyId);
    if (!finding || finding.weight === 'good' || !remedy) return finding;
    current = applyPatch(current, remedy.patch);
  }
  throw new Error('the remedy never ends');
}

const WHITE_THIRD = drawn((x, y) => (x < 180 ? 255 : 90 + ((x * 7 + y * 13) % 120)));
const NEAR_BLACK = drawn((x, y) => (y < 203 ? 28 : 120 + ((x + y) % 110)));
const PALE_DISC = drawn((x, y) =>
  Math.hypot(x - 300, y - 225) < 130 ? (((x >> 1) + (y >> 1)) % 2 ? 250 : 236) : 60 + ((x * 3 + y) % 90),
);

describe('findings on generated pictures', () => {
  it('30 % white on pine will show the wood; each remedy takes it away', () => {
    const finding = find(onPine(), WHITE_THIRD, 'show-through');
    expect(finding).toMatchObject({ weight: 'act', fact: { code: 'white-shows', surface: 'soft-wood' } });
    expect(finding && findingFigure(finding.figure)).toBe('30 %');
    expect(finding && findingWords(finding.fact).text).toContain('this will show: soft wood');
    expect(pressAll(onPine(), WHITE_THIRD, 'show-through', 'white-wash')?.weight).not.toBe('act');
    expect(pressAll(onPine(), WHITE_THIRD, 'show-through', 'opaque-binder')).toMatchObject({
      weight: 'good',
      fact: { code: 'white-stays' },
    });
  });

  it('wanted, it is no fault', () => {
    const job = onPine();
    expect(
      find({ ...job, method: { ...job.method, whites: 'surface-shows' } }, WHITE_THIRD, 'show-through'),
    ).toMatchObject({ weight: 'good', remedies: [] });
  });

  it('45 % near black: lightening by the computed gamma takes it away', () => {
    expect(find(onPine(), NEAR_BLACK, 'dark')).toMatchObject({ weight: 'act', fact: { code: 'dark' } });
    const left = pressAll(onPine(), NEAR_BLACK, 'dark');
    expect(left).toBeUndefined();
  });

  it('black that no curve can lighten says what remains', () => {
    expect(
      pressAll(
        onPine(),
        drawn((_, y) => (y < 203 ? 0 : 170)),
        'dark',
      ),
    ).toMatchObject({ fact: { code: 'dark-still' }, remedies: [] });
  });

  it('a pale disc with fine detail: it vanishes, and reads as ghostly on grain', () => {
    const findings = look(onPine(), PALE_DISC);
    expect(findings.map((finding) => finding.id)).toEqual(expect.arrayContaining(['faint', 'ghost']));
    expect(pressAll(onPine(), PALE_DISC, 'faint', 'lower-lights')).toBeUndefined();
    expect(pressAll(onPine(), PALE_DISC, 'faint', 'opaque-binder')?.weight).toBe('good');
    expect(pressAll(onPine(), PALE_DISC, 'ghost', 'smoother-blank')?.weight).toBe('good');
  });

  it('a flat picture gets the contrast it lacks, or is told that there is no more', () => {
    const flat = drawn((x) => 95 + (x / 600) * 70);
    const left = pressAll(onPine(), flat, 'contrast');
    expect(left?.weight === 'good' || left?.fact.code === 'contrast-spent').toBe(true);
  });

  it('too few pixels: the whole picture, or a smaller print', () => {
    const job = onPine();
    const large: Job = { ...job, surface: { ...job.surface, widthMm: 600, heightMm: 450 } };
    const finding = find(large, WHITE_THIRD, 'resolution');
    expect(finding).toMatchObject({ weight: 'act' });
    expect(pressAll(large, WHITE_THIRD, 'resolution', 'smaller-print')).toMatchObject({ weight: 'good' });
  });

  it('a dark ground is told before anything else', () => {
    const job = onPine();
    const [first] = look({ ...job, surface: { ...job.surface, kind: 'stone' } }, NEAR_BLACK).filter(
      (finding) => finding.id === 'ground-colour',
    );
    expect(first).toMatchObject({ weight: 'act' });
    expect(
      pressAll({ ...job, surface: { ...job.surface, kind: 'stone' } }, NEAR_BLACK, 'ground-colour'),
    ).toBeUndefined();
  });
});
