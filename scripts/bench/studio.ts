/** Runs apart from the other figures: it brings a database of its own. */
import { benchCompose } from './compose';
import { benchPerson, benchStudio } from './ladders';

benchPerson();
benchStudio();
await benchCompose();
