/**
 * Whether the machine's time of day was set while timers ran. Fobbet's own server counts seconds that nobody sets,
 * sleep included; held beside the time of day they tell a set clock from a sleeping machine, also over a reload.
 * Without the server only a clock set back shows.
 */
interface Anchor {
  wallMs: number;
  bootId: string;
  seconds: number;
}

const KEY = 'fobbet.clock-anchor';
/** Jumps shorter than this are the network's. */
export const JUMP_MS = 2000;

const readAnchor = (): Anchor | null => {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') as Anchor | null;
  } catch {
    return null;
  }
};

/** How far the time of day was set ahead since this was last asked, ms; 0 where it was not, or nobody knows. */
export async function clockSetBy(): Promise<number> {
  try {
    const asked = performance.now();
    const answer = await fetch('/clock', { cache: 'no-store' });
    const { bootId, seconds } = (await answer.json()) as { bootId: string; seconds: number };
    const wallMs = Date.now() - (performance.now() - asked) / 2;
    const anchor = readAnchor();
    localStorage.setItem(KEY, JSON.stringify({ wallMs, bootId, seconds } satisfies Anchor));
    if (!anchor || anchor.bootId !== bootId) return 0;
    const setBy = wallMs - anchor.wallMs - (seconds - anchor.seconds) * 1000;
    return Math.abs(setBy) > JUMP_MS ? setBy : 0;
  } catch {
    return 0;
  }
}
