/**
 * npm start [-- --port 3000 --data FOLDER --network --open]: the studio for daily use. Like the
 * demo, without its made-up people; port and folder also from PORT and LEVITAR_DATA.
 */
import { launch, readFlags } from './launch.mjs';

await launch({ values: readFlags(), command: 'npm start', prepare: () => true });
