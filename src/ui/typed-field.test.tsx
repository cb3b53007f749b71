/** @jest-environment jsdom */
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LengthField } from './fields';
import { Fields } from './worksheet';
import { UnitsProvider } from './units-context';

function shown(value: number | null, extra: { computed?: string; inch?: boolean } = {}) {
  const onCommit = jest.fn<void, [number | null]>();
  const { rerender } = render(field(value));
  return { onCommit, show: (next: number | null) => rerender(field(next)), input: screen.getByLabelText('Width') };

  function field(mm: number | null) {
    return (
      <UnitsProvider value={extra.inch ? 'inch' : 'metric'}>
        <LengthField
          label="Width"
          value={mm}
          minMm={5}
          maxMm={3000}
          onCommit={onCommit}
          {...(extra.computed === undefined ? {} : { computed: extra.computed })}
        />
      </UnitsProvider>
    );
  }
}

it('commits what was typed on Enter, in its unit, and not before', async () => {
  const { onCommit, input } = shown(200);
  await userEvent.clear(input);
  await userEvent.type(input, '24,5 cm');
  expect(onCommit).not.toHaveBeenCalled();
  await userEvent.keyboard('{Enter}');
  expect(onCommit).toHaveBeenCalledWith(245);
});

it('commits on leaving it, also where the screen counts in inches', async () => {
  const { onCommit, input } = shown(null, { inch: true });
  await userEvent.type(input, '9 1/2');
  await userEvent.tab();
  expect(onCommit).toHaveBeenCalledTimes(1);
  expect(onCommit.mock.calls[0][0]).toBeCloseTo(241.3, 1);
});

it('keeps what it can’t read for mending, says why, and changes nothing', async () => {
  const { onCommit, input } = shown(200);
  await userEvent.clear(input);
  await userEvent.type(input, 'wide{Enter}');
  expect(input).toHaveProperty('value', 'wide');
  expect(input.getAttribute('aria-invalid')).toBe('true');
  const said = document.getElementById(input.getAttribute('aria-describedby') ?? '');
  expect(said?.textContent).toMatch(/\S+ \S+/);
  expect(onCommit).not.toHaveBeenCalled();
  await userEvent.type(input, '{Backspace}');
  expect(input.getAttribute('aria-invalid')).toBe('false');
});

it.each(['0', '-3', '4000', '1 mm'])('refuses %s: no blank is so wide', async (text) => {
  const { onCommit, input } = shown(200);
  await userEvent.clear(input);
  await userEvent.type(input, `${text}{Enter}`);
  expect(input.getAttribute('aria-invalid')).toBe('true');
  expect(onCommit).not.toHaveBeenCalled();
});

it('lets go of a draft on Escape, and shows what is kept', async () => {
  const { onCommit, input } = shown(200);
  await userEvent.type(input, '9{Escape}');
  expect(input).toHaveProperty('value', '20 cm');
  await userEvent.tab();
  expect(onCommit).not.toHaveBeenCalled();
});

it('does not commit what was not changed', async () => {
  const { onCommit, input } = shown(200);
  await userEvent.click(input);
  await userEvent.keyboard('{Enter}');
  await userEvent.tab();
  expect(onCommit).not.toHaveBeenCalled();
});

it('goes back to the computed value where it is emptied', async () => {
  const { onCommit, input } = shown(200, { computed: '18 cm' });
  await userEvent.clear(input);
  await userEvent.keyboard('{Enter}');
  expect(onCommit).toHaveBeenCalledWith(null);
});

it('shows another window’s change while nothing is typed, and leaves a draft alone', async () => {
  const { show, input } = shown(200);
  show(210);
  expect(input).toHaveProperty('value', '21 cm');
  await userEvent.type(input, '5');
  show(220);
  expect(input).toHaveProperty('value', '21 cm5');
});

it('does not write over what another window changed meanwhile, until it is told to', async () => {
  const { onCommit, input, show } = shown(200);
  await userEvent.clear(input);
  await userEvent.type(input, '24 cm');
  show(310);
  await userEvent.tab();
  expect(onCommit).not.toHaveBeenCalled();
  expect(input).toHaveProperty('value', '24 cm');
  const said = document.getElementById(input.getAttribute('aria-describedby') ?? '');
  expect(said?.textContent).toMatch(/another window meanwhile, to 31 cm/);
  await userEvent.type(input, '{Enter}');
  expect(onCommit).toHaveBeenCalledWith(240);
});

it('takes what another window changed on Escape', async () => {
  const { onCommit, input, show } = shown(200);
  await userEvent.type(input, '{Backspace}');
  show(310);
  await userEvent.keyboard('{Enter}{Escape}');
  expect(input).toHaveProperty('value', '31 cm');
  expect(onCommit).not.toHaveBeenCalled();
});

it('commits once where Enter moves the focus on in the same breath, and leaving it on its heels', async () => {
  const onCommit = jest.fn<void, [number | null]>();
  render(
    <UnitsProvider value="metric">
      <Fields>
        <LengthField label="Width" value={null} minMm={5} onCommit={onCommit} />
        <LengthField label="Height" value={null} minMm={5} onCommit={jest.fn()} />
      </Fields>
    </UnitsProvider>,
  );
  await userEvent.type(screen.getByLabelText('Width'), '24 cm{Enter}');
  expect(document.activeElement).toBe(screen.getByLabelText('Height'));
  expect(onCommit.mock.calls).toEqual([[240]]);
});

it('what could not be kept stays in the field', async () => {
  render(
    <UnitsProvider value="metric">
      <LengthField label="Width" value={200} minMm={5} onCommit={() => Promise.resolve(false)} />
    </UnitsProvider>,
  );
  const input = screen.getByLabelText('Width');
  await userEvent.clear(input);
  await userEvent.type(input, '24 cm{Enter}');
  await waitFor(() => expect(input).toHaveProperty('value', '24 cm'));
});
