import { spawn, type ChildProcess } from 'node:child_process';

/** A server of its own, for journeys in which it goes away, or speaks another language. */
export async function ownServer(
  port: number,
  language = 'en',
): Promise<{ url: string; stop: (signal?: NodeJS.Signals) => Promise<void> }> {
  const url = `http://localhost:${port}`;
  const answers = async () => (await fetch(url).catch(() => null))?.ok === true;
  // Left behind by a run that was killed: it may be of another build, and would outlive this one's.
  if (await answers()) throw new Error(`something answers at ${url} already`);
  const server: ChildProcess = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-p', String(port)],
    {
      env: { ...process.env, FOBBET_DEMO: '1', FOBBET_LANGUAGE: language, NEXT_TELEMETRY_DISABLED: '1' },
      stdio: 'ignore',
    },
  );
  const ended = new Promise<void>((resolve) => {
    server.once('exit', () => resolve());
  });
  for (let tries = 0; !(await answers()); tries++) {
    if (tries > 240) throw new Error('the server does not start');
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  return {
    url,
    stop: async (signal = 'SIGKILL') => {
      server.kill(signal);
      await ended;
      while (await answers()) await new Promise((resolve) => setTimeout(resolve, 100));
    },
  };
}
