// `npm run dev`: the development server, with the example at hand.
import { bin, installPackages, must } from './steps.mjs';

await installPackages();
await must(process.execPath, ['scripts/draw-demo.mjs']);
await must(bin('next'), ['dev', ...process.argv.slice(2)]);
