/**
 * How much of what is proven on many is proven with every `npm test`: a share that says when something broke. All of it
 * is `npm run soak whole` (`FOBBET_WHOLE`).
 */
export const IS_WHOLE = process.env.FOBBET_WHOLE === '1';

/** @param few of them with every run: the first */
export const shareOf = <T>(all: readonly T[], few: number): readonly T[] => (IS_WHOLE ? all : all.slice(0, few));
export const countOf = (all: number, few: number): number => (IS_WHOLE ? all : few);
