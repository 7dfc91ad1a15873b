import TestSequencer from '@jest/test-sequencer';

/** What takes longest begins first, also where nobody knows yet how long anything takes. */
export default class GroupsFirst extends TestSequencer {
  sort(tests) {
    const isGroup = ({ path }) => path.includes('/together/groups/');
    const sorted = super.sort(tests);
    return [...sorted.filter(isGroup), ...sorted.filter((one) => !isGroup(one))];
  }
}
