import { atFirstUse, groupsBy, inOneGo } from './index';

it('groups keep the order in which they and their items come', () => {
  const groups = groupsBy(['pear', 'apple', 'plum', 'apricot'], (word) => word[0]);
  expect([...groups]).toEqual([
    ['p', ['pear', 'plum']],
    ['a', ['apple', 'apricot']],
  ]);
  expect([...groupsBy([], () => 1)]).toEqual([]);
});

it('what is made at first use is made once, also where it is nothing', () => {
  const make = jest.fn((): string | null => null);
  const made = atFirstUse(make);
  expect(make).not.toHaveBeenCalled();
  expect([made(), made()]).toEqual([null, null]);
  expect(make).toHaveBeenCalledTimes(1);
});

it('work that could be done bit by bit is done in one go, to its result', () => {
  const turns: number[] = [];
  const work = function* (): Generator<void, string> {
    for (let turn = 0; turn < 3; turn++) {
      turns.push(turn);
      yield;
    }
    return 'done';
  };
  expect(inOneGo(work())).toBe('done');
  expect(turns).toEqual([0, 1, 2]);
});
