// `npm run bench`: measures beside other libraries, each in one run. Prints medians and ratios; no test depends on it.
import { bin, installPackages, installPrograms, must } from './steps.mjs';

await installPackages();
await installPrograms({ chromium: 'chromium' });
for (const part of ['analysis', 'preview', 'sheet']) await must(bin('tsx'), [`bench/${part}.mts`]);
