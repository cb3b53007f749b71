/** A time-out holds at most 24.8 days; a longer one fires at once. */
const LONGEST_TIMEOUT_MS = 2 ** 31 - 1;

/**
 * Calls when the clock reaches an instant, never before: a wait longer than a time-out holds is taken up again when the
 * time-out ends, and so is one that the machine's clock cut short.
 *
 * @param at epoch ms; @returns cancels it
 */
export function callAt(at: number, clock: () => number, call: () => void): () => void {
  let timer: ReturnType<typeof setTimeout>;
  const wait = () => {
    timer = setTimeout(look, Math.min(LONGEST_TIMEOUT_MS, Math.max(0, at - clock())));
  };
  const look = () => {
    if (clock() < at) wait();
    else call();
  };
  wait();
  return () => clearTimeout(timer);
}
