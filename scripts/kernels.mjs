// `npm run kernels`: compiles the AssemblyScript kernels into TypeScript modules that carry their bytes. Run after a
// kernel is changed; the result is committed.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, bin, must } from './steps.mjs';

const KERNELS = [
  {
    source: 'src/core/render/kernel/lay-print.as.ts',
    out: 'src/core/render/kernel/lay-print.bytes.ts',
    name: 'LAY_PRINT_WASM',
  },
  {
    source: 'src/core/raster/kernel/resample.as.ts',
    out: 'src/core/raster/kernel/resample.bytes.ts',
    name: 'RESAMPLE_WASM',
  },
  {
    source: 'src/core/inspect/kernel/blur.as.ts',
    out: 'src/core/inspect/kernel/blur.bytes.ts',
    name: 'BLUR_WASM',
  },
  {
    source: 'src/core/inspect/kernel/paths.as.ts',
    out: 'src/core/inspect/kernel/paths.bytes.ts',
    name: 'PATHS_WASM',
  },
];

for (const { source, out, name } of KERNELS) {
  const wasm = join(ROOT, '.cache', 'kernel.wasm');
  await must(bin('asc'), [
    source,
    '--outFile',
    wasm,
    '--runtime',
    'stub',
    '-O3',
    '--converge',
    '--noAssert',
    '--importMemory',
    '--enable',
    'simd',
  ]);
  const bytes = readFileSync(wasm);
  writeFileSync(
    join(ROOT, out),
    `// Made by \`npm run kernels\` from ${source.split('/').at(-1)}. ${bytes.length} bytes.\nexport const ` +
      `${name} = '${bytes.toString('base64')}';\n`,
  );
  console.log(`${out}: ${bytes.length} bytes`);
}
