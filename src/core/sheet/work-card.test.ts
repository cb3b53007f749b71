import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { workCardsPdf, type WorkCard } from './work-card';

const A4 = { widthMm: 210, heightMm: 297 };
const card = (patch: Partial<WorkCard> = {}): WorkCard => ({
  title: 'Crest bucket',
  under: 'Due Saturday 19 Dec',
  picture: null,
  facts: [{ name: 'Blank', value: '30 × 24 cm, metal' }],
  steps: [{ when: 'Fri 27 Nov 18:10', text: 'Brush off loose rust', time: '10 min', done: false }],
  cautions: ['Sanding: wear a mask.'],
  ...patch,
});
const read = async (cards: WorkCard[], paper = A4) => {
  const bytes = await workCardsPdf({ title: 'Cards', cards, paper, at: new Date('2026-11-27T12:00:00Z') });
  const path = join(mkdtempSync(join(tmpdir(), 'card-')), 'card.pdf');
  writeFileSync(path, bytes);
  const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
  return {
    bytes,
    pages: Number(/Pages:\s+(\d+)/.exec(info)?.[1]),
    size: /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info)?.slice(1).map(Number),
    text: execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' }),
  };
};

describe('work cards', () => {
  it('hold the piece, its figures, its steps with their hours, and what to mind', async () => {
    const { pages, size, text } = await read([card()]);
    expect(pages).toBe(1);
    expect(size?.map(Math.round)).toEqual([595, 842]);
    for (const words of [
      'Crest bucket',
      'Due Saturday',
      '30 × 24 cm',
      '18:10',
      'Brush off loose rust',
      '10 min',
      'mask',
    ])
      expect(text).toContain(words);
  });

  it('a page for each, however long: sixty steps become small, and all of them stand on it', async () => {
    const steps = Array.from({ length: 60 }, (_, at) => ({ ...card().steps[0], text: `Step number ${at + 1}` }));
    const { pages, text } = await read([card({ steps }), card({ title: 'Other' })]);
    expect(pages).toBe(2);
    for (let at = 1; at <= 60; at++) expect(text).toContain(`Step number ${at}`);
    expect(text.indexOf('Sanding')).toBeGreaterThan(text.indexOf('Step number 60'));
  });

  it('takes names of any script, and none at all', async () => {
    const { text } = await read([card({ title: 'Żółw 亀 🐢', under: '', facts: [], steps: [], cautions: [] })]);
    expect(text).toContain('Zó');
  });

  it('the same card is the same file', async () => {
    expect((await read([card()])).bytes).toEqual((await read([card()])).bytes);
  });
});
