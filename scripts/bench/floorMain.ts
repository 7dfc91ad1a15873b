/** Apart again, so that its memory is its own. */
import { benchFloor } from './floor';

await benchFloor();
