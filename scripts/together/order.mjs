import path from 'node:path';
import TestSequencer from '@jest/test-sequencer';
import { groups } from './files.mjs';

/** What takes longest begins first, also where nobody knows yet how long anything takes. */
export default class GroupsFirst extends TestSequencer {
  sort(tests) {
    const isGroup = (test) => test.path.includes('/together/groups/');
    const placeOf = (test) => groups.indexOf(path.basename(test.path, '.ts'));
    return [
      ...tests.filter(isGroup).sort((one, other) => placeOf(one) - placeOf(other)),
      ...super.sort(tests.filter((test) => !isGroup(test))),
    ];
  }
}
