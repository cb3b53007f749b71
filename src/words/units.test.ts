import { wordingIn } from './units';

describe('kitchen spoons', () => {
  const [metric, inch] = [wordingIn('metric'), wordingIn('inch')];
  it.each([
    [metric.spoons(15), 'about 1 tablespoon'],
    [metric.spoons(19), 'about 1¼ tablespoons'],
    [metric.spoons(37.4), 'about 2½ tablespoons'],
    [metric.spoons(3.7), 'about ¾ teaspoon'],
    [metric.spoons(6.2), 'about 1¼ teaspoons'],
    [inch.spoons(44.4), 'about 3 tablespoons'],
    [metric.spoons(900), null],
  ])('%s', (said, expected) => {
    expect(said).toBe(expected);
  });
});
