import { PRINTS, printById } from '@/core/craft';
import { printedWhere } from './prints';

describe('where a page is printed', () => {
  it('a copy shop is told all that it gets wrong by itself', () => {
    expect(printedWhere('copy-shop', printById('laser-plain'))).toMatch(
      /laser.*plain paper.*100 %.*not mirrored again/,
    );
  });

  it.each(['copy-shop', 'inkjet'] as const)('toner on another sheet is asked about there first: %p at hand', (at) => {
    for (const id of ['slip-paper', 'release-liner'] as const)
      expect(printedWhere(at, printById(id))).toMatch(/takes such a sheet/);
  });

  it('whoever has an inkjet goes to the copy shop with toner, and whoever has a laser is told what it can’t', () => {
    expect(printedWhere('inkjet', printById('laser-plain'))).toMatch(/copy shop/);
    expect(printedWhere('laser', printById('inkjet-film'))).toMatch(/can’t/);
  });

  it('one’s own printer needs no more than the name of the print', () => {
    for (const print of PRINTS) {
      const at = print.printer === 'inkjet' ? 'inkjet' : 'laser';
      expect(printedWhere(at, print)).not.toMatch(/copy shop first|can’t|Ask/);
      expect(printedWhere(null, print)).toBe(printedWhere(at, print));
    }
  });
});
