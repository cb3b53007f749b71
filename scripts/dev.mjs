// `npm run dev`: the development server, with the example at hand.
import { bin, installPackages, must, prepareFiles } from './steps.mjs';

await installPackages();
await prepareFiles();
await must(bin('next'), ['dev', '-H', process.env.HOST ?? '127.0.0.1', ...process.argv.slice(2)]);
