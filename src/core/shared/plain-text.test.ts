import { plainName, plainText, shortened } from './index';

const at = (...codes: number[]): string => codes.map((code) => String.fromCodePoint(code)).join('');

describe('text that is shown', () => {
  it('loses what acts, first and last of each kind, and nothing beside them', () => {
    const acting = [
      ...[0x00, 0x08, 0x0b, 0x0c, 0x0e, 0x1f, 0x7f, 0x80, 0x9f, 0x061c, 0x200e, 0x200f],
      ...[0x202a, 0x202e, 0x2066, 0x2069, 0xfeff, 0xfffe, 0xffff],
    ];
    for (const code of acting) expect(plainText(`a${at(code)}b`)).toBe('ab');
    const kept = [0x09, 0x0a, 0x0d, 0x20, 0x7e, 0xa0, 0x061b, 0x061d, 0x200d, 0x2010, 0x2029, 0x202f, 0x2065, 0x206a];
    for (const code of kept) expect(plainText(`a${at(code)}b`)).toBe(`a${at(code)}b`);
  });
});

describe('a name', () => {
  it('is on one line, without room round it', () => {
    expect(plainName('  Signal \n\t box ', 80)).toBe('Signal box');
    expect(plainName(`Sig${at(0)}nal`, 80)).toBe('Signal');
  });
  it('that nobody could see is none', () => {
    for (const unseen of ['', '   ', at(0x200b), at(0x0301), at(0x115f), at(0x1160, 0x2800), at(0x3164), at(0xffa0)])
      expect(plainName(unseen, 80)).toBe('');
    expect(plainName(`a${at(0x0301)}`, 80)).toBe(`a${at(0x0301)}`);
  });
});

describe('what is shortened', () => {
  it('is whole where it fits, to the last unit', () => {
    expect(shortened('Halt', 4)).toBe('Halt');
    expect(shortened('Halt', 3)).toBe('Hal');
    expect(shortened('Halt', 0)).toBe('');
  });
  it('ends before a character that would be cut, and without room at its end', () => {
    const family = at(0x1f469, 0x200d, 0x1f467);
    expect(shortened(`ab${family}`, 6)).toBe('ab');
    expect(shortened(`ab${family}`, 2 + family.length)).toBe(`ab${family}`);
    expect(shortened('ab cd', 3)).toBe('ab');
  });
});
