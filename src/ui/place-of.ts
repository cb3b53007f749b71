/** The page's own content round something: what hangs there belongs to it, also for those who listen. */
export const placeOf = (anchor: HTMLElement | null): HTMLElement | null => anchor?.closest('main') ?? null;
