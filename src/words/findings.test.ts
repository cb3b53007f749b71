import type { FindingFact } from '@/core/findings';
import { findingWords } from './findings';

const FACTS: readonly FindingFact[] = [
  { code: 'white-stays' },
  { code: 'white-shows', surface: 'soft-wood' },
  { code: 'white-shows', surface: null },
  { code: 'contrast-clear' },
  { code: 'resolution-enough' },
  { code: 'resolution-more', coarse: true, shownPpi: 149.6 },
  { code: 'ghost-whole', subjects: 1 },
  { code: 'ghost-reads', subjects: 3 },
] as FindingFact[];

it.each(FACTS)('what $code means begins with what it is, and says what follows', (fact) => {
  const { lead, text } = findingWords(fact);
  expect(lead).not.toBe('');
  expect(text.startsWith(lead)).toBe(true);
  expect(text).toMatch(/\.$/);
  expect(`${lead}${text}`).not.toMatch(/\||undefined|\{\d/);
});

it('counts, figures and the ground stand in their places', () => {
  expect(findingWords(FACTS[5]).text).toBe(
    'enough for this size; weave or stone shows no more than about 150 ppi of it.',
  );
  expect(findingWords(FACTS[6]).text).toContain('a pale subject; on this even ground it stays whole');
  expect(findingWords(FACTS[7]).text).toContain('3 pale subjects: on the grain of this surface they read');
  expect(findingWords(FACTS[2]).text).toContain('the bare surface will show');
});
