import { STATIONS } from '@/core/stations';
import { PLACES } from '@/features/shell/places';
import { ANY_PIECE, NOWHERE, OURS, isOurs, keptPageFor, keptPages } from './pages';

const kept = keptPages(STATIONS);

it('keeps a page for every place and every station, of whichever piece', () => {
  for (const { href } of PLACES) expect(kept).toContain(href);
  for (const place of ['/pieces/print', '/pieces/set', '/pieces/']) expect(kept).toContain(keptPageFor(place).page);
  for (const station of STATIONS) {
    const { page, id } = keptPageFor(`/piece/a1-B2/${station}`);
    expect(kept).toContain(page);
    expect(id).toBe('a1-B2');
  }
});

it('has none for what leads nowhere, and takes no id that is not one', () => {
  for (const nowhere of ['/piece/a/b/c', '/piece/%22%3E%3Cscript%3E/lay', '/piece/a1', '/elsewhere', '//lay'])
    expect(kept).not.toContain(keptPageFor(nowhere).page);
  expect(kept).not.toContain(keptPageFor('/piece/a1/no-station').page);
});

it('the placeholder is an id like any other, so that the page is built for it', () => {
  expect(ANY_PIECE).toMatch(/^[A-Za-z0-9-]{1,64}$/);
});

it('takes for a page only what its own server sent in health', () => {
  const answered = (status: number, ours: boolean) => ({
    status,
    headers: new Headers(ours ? { [OURS]: 'page' } : { 'content-type': 'text/html' }),
  });
  expect(isOurs(answered(200, true))).toBe(true);
  expect(isOurs(answered(404, true))).toBe(true);
  for (const status of [500, 502, 503, 599]) expect(isOurs(answered(status, true))).toBe(false);
  for (const status of [200, 404, 511]) expect(isOurs(answered(status, false))).toBe(false);
  expect(kept).not.toContain(NOWHERE);
});
