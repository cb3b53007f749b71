// `npm run build`: the example's pictures, then the production build.
import { build, installPackages } from './steps.mjs';

await installPackages();
await build({ force: true });
