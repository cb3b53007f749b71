/** What no sentence should ever say. */
export const BROKEN = /NaN|undefined|Infinity|\[object|∞|\bnull\b|\{\d\}|− ?0(?![.,\d])/;
/** A figure with a metric unit, where nobody asked for one. */
export const METRIC = /\d\s?(mm|cm|m|µm|ml|cl|l|°C|kPa|cm²|m²|g\/m²)(?![a-z0-9/])/;

const BLOCKS = 'p, li, td, th, h1, h2, h3, button, label, option, summary, dt, dd, figcaption, a';

/** All that is said somewhere: texts, values of fields, and names that are only heard. */
export function saidIn(container: Element): string[] {
  const fields = [...container.querySelectorAll('input')].map(({ value, placeholder }) => `${value} ${placeholder}`);
  const heard = [...container.querySelectorAll('[aria-label]')].map((one) => one.getAttribute('aria-label') ?? '');
  return [...[...container.querySelectorAll(BLOCKS)].map((one) => one.textContent ?? ''), ...fields, ...heard];
}

export const answerIn = (container: Element): string =>
  container.querySelector('[data-testid="answer"]')?.textContent?.trim() ?? '';

/** What of it is broken, or in units that were not asked for. */
export const faultsOf = (texts: readonly string[], units: 'metric' | 'inch'): string[] => [
  ...new Set(texts.filter((text) => BROKEN.test(text) || (units === 'inch' && METRIC.test(text)))),
];
