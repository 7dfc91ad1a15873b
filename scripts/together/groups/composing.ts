import { runTogether } from '../run';

runTogether('composing');
