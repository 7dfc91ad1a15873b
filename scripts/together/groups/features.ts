import { runTogether } from '../run';

runTogether('features');
