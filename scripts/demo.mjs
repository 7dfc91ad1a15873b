/**
 * npm run demo [-- --port 3000 --data FOLDER --reset --network --open]: everything from nothing to
 * the address in the browser, with a made-up studio where there never was one.
 */
import { launch, readFlags, runOn } from './launch.mjs';

const values = readFlags({ reset: { type: 'boolean', default: false } });
await launch({
  values,
  command: 'npm run demo',
  prepare: (folder) => (!values.reset || runOn(folder, 'reset.ts')) && runOn(folder, 'seed.ts'),
});
