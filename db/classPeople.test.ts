import fc from 'fast-check';
import { withOtherPeople, withoutPerson } from './classPeople';

const plan = {
  wishes: { absent: ['3', '4'], sore: [{ person: '3', place: 'wrist' }], late: [], minutes: 3 },
  rounds: [
    {
      people: [
        { id: '3', option: 'FS3', letter: '3', sharesWith: '4' },
        { id: '4', option: 'FS4', letter: 'B', sharesWith: '3' },
      ],
    },
  ],
  checks: [{ check: 'dolphin-hold', people: [{ id: '3' }] }],
  binding: [{ what: 'helper', id: '3m', serves: ['3'] }],
  timeline: [{ id: 'arrive', minutes: 3 }],
};

it('takes a person out wherever a file names them, and nothing else', () => {
  const left = withoutPerson(plan, '3') as typeof plan;
  expect(JSON.stringify(left)).not.toContain('"3"');
  expect(left).toMatchObject({
    wishes: { absent: ['4'], sore: [], minutes: 3 },
    rounds: [{ people: [{ id: '4', option: 'FS4', letter: 'B' }] }],
    checks: [{ check: 'dolphin-hold', people: [] }],
    binding: [{ what: 'helper', id: '3m', serves: [] }],
    timeline: [{ id: 'arrive', minutes: 3 }],
  });
});

it('puts other ids in their places and leaves letters, options and numbers alone', () => {
  const others = withOtherPeople(plan, new Map([['3', 'uid-a']])) as typeof plan;
  expect(others.rounds[0]!.people[0]).toEqual({
    id: 'uid-a',
    option: 'FS3',
    letter: '3',
    sharesWith: '4',
  });
  expect(others.rounds[0]!.people[1]!.sharesWith).toBe('uid-a');
  expect(others.wishes).toMatchObject({ absent: ['uid-a', '4'], minutes: 3 });
  expect(others.binding[0]).toMatchObject({ id: '3m', serves: ['uid-a'] });
});

it('comes back when the way back is taken, also where two change places', () => {
  const swap = new Map([
    ['3', '4'],
    ['4', '3'],
  ]);
  expect(withOtherPeople(withOtherPeople(plan, swap), swap)).toEqual(plan);
  fc.assert(
    fc.property(fc.uniqueArray(fc.uuid(), { minLength: 2, maxLength: 2 }), ([a = '', b = '']) => {
      const there = new Map([
        ['3', a],
        ['4', b],
      ]);
      const back = new Map([
        [a, '3'],
        [b, '4'],
      ]);
      expect(withOtherPeople(withOtherPeople(plan, there), back)).toEqual(plan);
    }),
  );
});
