// Shared by the plain Node scripts: runs a command, installs what is missing. Needs no node_modules to start.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export const ROOT = join(import.meta.dirname, '..');
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

/** Runs a command to its end, output shown; resolves to its exit code. */
export function run(command, args, { env = {}, capture } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: capture ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    });
    if (capture) {
      const pass = (stream, out) =>
        stream.on('data', (chunk) => {
          out.write(chunk);
          capture(String(chunk));
        });
      pass(child.stdout, process.stdout);
      pass(child.stderr, process.stderr);
    }
    // A step that fails ends the program, and with it what runs beside.
    const stop = () => child.kill();
    process.once('exit', stop);
    child.on('error', (error) => {
      console.error(`${command}: ${error.message}`);
      resolve(127);
    });
    child.on('close', (code, signal) => {
      process.off('exit', stop);
      resolve(signal ? 1 : code);
    });
  });
}

export async function must(command, args, options) {
  const code = await run(command, args, options);
  if (code !== 0) {
    console.error(`\n${command} ${args.join(' ')} ended with ${code}.`);
    process.exit(code);
  }
}

const found = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** What is checked of the whole without running it, each as a command and its words. */
export const CHECKS = {
  form: [bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  layers: [bin('depcruise'), ['src', 'e2e', '--config', '.dependency-cruiser.cjs']],
  unused: [bin('knip'), ['--no-progress']],
  types: [process.execPath, [join('scripts', 'types.mjs')]],
  additions: [process.execPath, [join('scripts', 'additions.mjs')]],
  lint: [bin('eslint'), ['.']],
};

/** All of it; one that fails ends everything. */
export async function checkAll() {
  for (const [command, words] of Object.values(CHECKS)) await must(command, words);
}

/** Installs the packages of package-lock.json, unless that very lock file was installed before. */
export async function installPackages() {
  const lock = readFileSync(join(ROOT, 'package-lock.json'), 'utf8');
  const stamp = join(ROOT, 'node_modules', '.fobbet-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages …');
  await must('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(stamp, lock);
}

/** Installs programs through apt where they are missing: on Debian, as root or with sudo. */
export async function installPrograms(programs) {
  const missing = Object.entries(programs)
    .filter(([command]) => !found(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  if (!found('apt-get')) {
    console.error(
      `Missing: ${missing.join(', ')}. Install them with your system's package manager and run this again.`,
    );
    process.exit(1);
  }
  console.log(`Installing ${missing.join(', ')} …`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  };
  await apt('update', '-qq');
  if ((await apt('install', '-y', '-qq', '--no-install-recommends', ...missing)) !== 0) {
    console.error(`Could not install ${missing.join(', ')}.`);
    process.exit(1);
  }
}

/** Draws the example's pictures and the icons, copies the lettering fonts into public/, and bundles the copy shop. */
export async function prepareFiles() {
  await must(process.execPath, [join('scripts', 'draw-demo.mjs')]);
  await must(process.execPath, [join('scripts', 'copy-fonts.mjs')]);
  // It draws lettering with the fonts.
  await must(bin('tsx'), [join('scripts', 'draw-photos.ts')]);
  await must(bin('tsx'), [join('scripts', 'draw-signs.ts')]);
  await must(bin('tsx'), [join('scripts', 'draw-grounds.ts')]);
  await must(process.execPath, [join('scripts', 'draw-icons.mjs')]);
  await must(process.execPath, [join('scripts', 'copy-shop.mjs')]);
}

/** Builds unless the last build is newer than everything it is made from. */
export async function build({ force = false } = {}) {
  const id = join(ROOT, '.next', 'BUILD_ID');
  const sources = [
    'src',
    'scripts/draw-demo.mjs',
    'scripts/draw-photos.ts',
    'scripts/draw-signs.ts',
    'scripts/draw-grounds.ts',
    'scripts/rendered.ts',
    'scripts/in-node.ts',
    'scripts/copy-fonts.mjs',
    'scripts/draw-icons.mjs',
    'scripts/copy-shop.mjs',
    'scripts/offline.ts',
    'package-lock.json',
    'next.config.ts',
    'tsconfig.json',
  ];
  const fresh =
    existsSync(id) &&
    spawnSync('find', [...sources, '-newer', id, '-type', 'f'], { cwd: ROOT, encoding: 'utf8' }).stdout.trim() === '' &&
    statSync(id).size > 0;
  if (fresh && !force) return;
  await prepareFiles();
  await must(bin('next'), ['build']);
  await must(bin('tsx'), [join('scripts', 'offline.ts')]);
}
