// `npm run soak`: bent files, killed browsers, full storage. Minutes rather than seconds, and no part of `npm test`.
import { bin, build, installPackages, installPrograms, must } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium', pdfinfo: 'poppler-utils' });
await build();
await must(bin('tsx'), ['bench/soak.mts', ...process.argv.slice(2)]);
