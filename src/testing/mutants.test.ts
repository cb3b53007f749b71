import { mutant, MUTANT_KINDS } from './mutants';

const SEED = 7;
const EACH = 40;

it.each(MUTANT_KINDS.map(({ name }, index) => [name, index] as const))(
  'a reader neither throws nor lets through what is of no use: %s',
  async (_, offset) => {
    let accepted = 0;
    for (let turn = 0; turn < EACH; turn++) {
      const { run } = mutant(SEED, offset + turn * MUTANT_KINDS.length);
      if (await run()) accepted++;
    }
    expect(accepted).toBeLessThanOrEqual(EACH);
  },
);
