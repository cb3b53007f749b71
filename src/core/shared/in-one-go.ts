/** Does at once what could be done bit by bit. */
export function inOneGo<T>(work: Generator<void, T>): T {
  let turn = work.next();
  while (!turn.done) turn = work.next();
  return turn.value;
}
