/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import type * as with_ from './say-with';
import type * as names from './calendar-names';

/** As a page has it that the server put into a language. */
function spoken(tag: string) {
  document.documentElement.lang = tag;
  jest.resetModules();
  return {
    ...jest.requireActual<typeof with_>('./say-with'),
    ...jest.requireActual<typeof names>('./calendar-names'),
  };
}

it('puts what stands in a sentence in its place, and leaves out what is not there', () => {
  const { sayWith } = spoken('en');
  const { container } = render(
    <p>{sayWith`Took ${(<input aria-label="minutes" />)} min${false}, at ${(<b>10:40</b>)}.`}</p>,
  );
  expect(container.textContent).toBe('Took  min, at 10:40.');
  expect(container.querySelector('p')?.innerHTML).toMatch(/^Took <input[^>]*> min, at <b>10:40<\/b>\.$/);
});

it('in a made-up language too, every letter of the sentence another one', () => {
  const { sayWith } = spoken('he-x-long');
  const { container } = render(<p>{sayWith`Took ${(<b>9</b>)} min`}</p>);
  expect(container.querySelector('b')?.textContent).toBe('9');
  expect(container.textContent).toMatch(/^⟦.*9.*⟧$/);
  expect(container.textContent).not.toMatch(/[A-Za-z]/);
});

it('days from Sunday and months from January, as the language names them', () => {
  const { weekdaysIn, monthsIn } = spoken('de-x-long');
  expect(weekdaysIn('short')).toEqual(['So', 'Mo', 'Di', 'Mi', 'Do', 'Fr', 'Sa']);
  expect([monthsIn('long')[0], monthsIn('long')[11]]).toEqual(['Januar', 'Dezember']);
  expect(spoken('en').weekdaysIn('long')[0]).toBe('Sunday');
});
