import type { PlanEntry } from '@/features/agenda';
import { idleWords } from './idle-words';

const entry = { key: 'piece/print', startAt: null } as unknown as PlanEntry;

it('says that no step is planned only once that is known', () => {
  expect(idleWords({ placing: true, entries: [entry] })).toMatch(/^Placing/);
  expect(idleWords({ placing: false, entries: [entry] })).toMatch(/^No step is planned/);
  expect(idleWords({ placing: true, entries: [] })).toMatch(/^No step is planned/);
});
