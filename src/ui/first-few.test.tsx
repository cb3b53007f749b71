/** @jest-environment jsdom */
import '@/testing/browser';
import { fireEvent, render, screen } from '@testing-library/react';
import { FirstFew } from './first-few';

const list = (count: number) => (
  <FirstFew of={Array.from({ length: count }, (_, at) => `piece ${at + 1}`)} few={3}>
    {(shown) => shown.map((name) => <p key={name}>{name}</p>)}
  </FirstFew>
);

it('a long list begins with its first few, and shows all when asked for', () => {
  render(list(5));
  expect(screen.getAllByText(/piece/).map(({ textContent }) => textContent)).toEqual(['piece 1', 'piece 2', 'piece 3']);
  fireEvent.click(screen.getByText('Show all 5'));
  expect(screen.getAllByText(/piece/)).toHaveLength(5);
  expect(screen.queryByText(/Show all/)).toBeNull();
});

it('a list of no more has no button; one that grows asks', () => {
  const { rerender } = render(list(3));
  expect(screen.queryByRole('button')).toBeNull();
  rerender(list(0));
  expect(screen.queryByRole('button')).toBeNull();
  rerender(list(4));
  expect(screen.getByRole('button').textContent).toBe('Show all 4');
});
