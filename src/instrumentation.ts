/**
 * Told to end, the server ends: streams that are open, as the room's sensor holds them, keep it no longer than this.
 * Node takes about a second more.
 */
const LAST_MS = 400;

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.on(signal, () => setTimeout(() => process.exit(0), LAST_MS).unref());
  const { refuseOtherMethods } = await import('./methods');
  refuseOtherMethods();
}
