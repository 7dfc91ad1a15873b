/** Apart, so that its memory is the solver's alone. */
import { benchClasses } from './classes';
import { benchJoint } from './joint';

await benchClasses();
await benchJoint();
