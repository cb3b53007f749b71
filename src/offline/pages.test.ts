import { STATIONS } from '@/core/stations';
import { PLACES } from '@/features/shell/places';
import { ANY_PIECE, keptPageFor, keptPages } from './pages';

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
