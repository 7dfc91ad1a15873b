import { runTogether } from '../run';

runTogether('server');
