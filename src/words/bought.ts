import { formatDuration } from './figures';
import { say } from './say';
import { sentences } from './text';

/**
 * A piece against a bought one: "Saves 21.40 and takes 1 h 50 min of hands."
 *
 * @param total what is priced of the piece; null where nothing is
 * @param isWhole whether everything is priced
 */
export function boughtWords({
  boughtPrice,
  total,
  isWhole,
  minutes,
}: {
  boughtPrice: number;
  total: number | null;
  isWhole: boolean;
  minutes: number;
}): string {
  const hands = formatDuration(minutes / 60);
  if (total === null) return say`It takes ${hands} of hands. What it saves is told once its own prices are typed.`;
  const saved = boughtPrice - total;
  const amount = Math.abs(saved).toFixed(2);
  return sentences(
    saved >= 0
      ? say`It saves ${amount}, and takes ${hands} of hands.`
      : say`It costs ${amount} more than that, and takes ${hands} of hands.`,
    !isWhole && say`Not all of it is priced yet.`,
  );
}
