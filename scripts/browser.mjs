/** npm run test:browser [-- arguments of the runner]: browser tests on a throw-away database. */
import process from 'node:process';
import {
  bin,
  ensureBuild,
  ensureChromium,
  ensurePackages,
  ensurePdfTools,
  runBeside,
} from './setup.mjs';
import { startThrowaway } from './server.mjs';

ensurePackages();
const chromium = ensureChromium();
ensurePdfTools();
if (!ensureBuild()) process.exit(1);
const server = await startThrowaway(3217, { doorPort: 3660 });
let isGood = false;
try {
  // Beside: the network door is part of this process and must go on answering.
  isGood = await runBeside(bin('playwright'), ['test', ...process.argv.slice(2)], {
    LEVITAR_CHROMIUM: chromium,
    LEVITAR_URL: server.url,
    LEVITAR_DOOR: server.doorUrl,
  });
} finally {
  await server.stop();
}
process.exit(isGood ? 0 : 1);
