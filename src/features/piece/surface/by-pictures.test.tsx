/** @jest-environment jsdom */
import { fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { SURFACES, type SurfaceId } from '@/core/craft';
import { SHAPE_KINDS, type ShapeKind } from '@/core/shape';
import { ByPictures } from './by-pictures';

function Chosen({ first }: { first: SurfaceId | null }) {
  const [kind, setKind] = useState(first);
  const [shape, setShape] = useState<ShapeKind>('rectangle');
  return (
    <>
      <ByPictures kind={kind} shape={shape} onKind={setKind} onShape={setShape} />
      <output>{`${kind} ${shape}`}</output>
    </>
  );
}
const isOpen = () => document.querySelector('details')?.open;
const grounds = () => screen.getByRole('radiogroup', { name: 'Kind of surface, by pictures' });
const byMouse = { detail: 1 };
const byArrow = { detail: 0 };

test('stands open while nothing is chosen, with every ground once, drawn', () => {
  render(<Chosen first={null} />);
  expect(isOpen()).toBe(true);
  const radios = within(grounds()).getAllByRole('radio');
  expect(radios).toHaveLength(SURFACES.length);
  expect(radios.filter((radio) => (radio as HTMLInputElement).checked)).toHaveLength(0);
  for (const { id } of SURFACES)
    expect(screen.getByTestId(`pictured-${id}`).parentElement?.querySelector('img')?.getAttribute('src')).toBe(
      `/grounds/${id}.jpg`,
    );
  expect(screen.queryByRole('radiogroup', { name: 'Shape, by pictures' })).toBeNull();
});

test('a press takes the ground and folds; arrows go on from one to the next', () => {
  render(<Chosen first={null} />);
  fireEvent.click(screen.getByRole('radio', { name: 'Hard wood' }), byArrow);
  expect(screen.getByRole('status').textContent).toBe('hard-wood rectangle');
  expect(isOpen()).toBe(true);
  fireEvent.click(screen.getByRole('radio', { name: 'Leather' }), byMouse);
  expect(screen.getByRole('status').textContent).toBe('leather rectangle');
  expect(isOpen()).toBe(false);
});

test('is folded once something is chosen, and shows which', () => {
  render(<Chosen first="stone" />);
  expect(isOpen()).toBe(false);
  expect(within(grounds()).getByRole<HTMLInputElement>('radio', { name: 'Stone, slate, tile' }).checked).toBe(true);
});

test('every shape has a drawing of its own', () => {
  render(<Chosen first="stone" />);
  const drawn = SHAPE_KINDS.map((kind) => screen.getByTestId(`pictured-${kind}`).parentElement?.querySelector('path'));
  const paths = drawn.map((path) => path?.getAttribute('d'));
  expect(new Set(paths).size).toBe(SHAPE_KINDS.length);
  expect(paths).not.toContain(undefined);
  fireEvent.click(screen.getByTestId('pictured-vessel'), byMouse);
  expect(screen.getByRole('status').textContent).toBe('stone vessel');
});
