import { toggled } from './toggled';

it('is put in at the end, and taken out where it was', () => {
  const list = ['a', 'b'];
  expect(toggled(list, 'c')).toEqual(['a', 'b', 'c']);
  expect(toggled(list, 'a')).toEqual(['b']);
  expect(toggled(toggled(list, 'c'), 'c')).toEqual(list);
  expect(list).toEqual(['a', 'b']);
});
