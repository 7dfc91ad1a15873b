import { runTogether } from '../run';

runTogether('components');
