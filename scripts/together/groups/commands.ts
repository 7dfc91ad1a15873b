import { runTogether } from '../run';

runTogether('commands');
