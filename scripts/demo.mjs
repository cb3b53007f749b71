// `npm run demo`: installs what is missing, builds, and starts Fobbet with the example pieces. Plain Node, needs no
// node_modules to start. The port is 3000 or the next free one; PORT sets it.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { ROOT, bin, build, installPackages } from './steps.mjs';

/** This machine only, unless told otherwise: HOST=0.0.0.0 lets the home in. */
const HOST = process.env.HOST ?? '127.0.0.1';
const free = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
      .once('error', () => resolve(false))
      .once('listening', () => probe.close(() => resolve(true)))
      .listen(port, HOST);
  });

await installPackages();
await build();
let port = Number(process.env.PORT ?? 3000);
if (!process.env.PORT) while (!(await free(port))) port++;

const server = spawn(bin('next'), ['start', '-p', String(port), '-H', HOST], {
  cwd: ROOT,
  env: { ...process.env, FOBBET_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready'))
    console.log(`\nFobbet is ready with the Wrenfold Halt example: http://localhost:${port}\nCtrl+C stops it.`);
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
