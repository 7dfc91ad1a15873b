import { runTogether } from '../run';

runTogether('core');
