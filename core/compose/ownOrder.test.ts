/** An order of the teacher's own: what does not fit is said, and the minutes add up all the same. */
import { keysOf } from '../units/keyed';
import { drillTable } from '../catalog/drills';
import { pieceIds } from '../catalog/pieces';
import { inventClass, usualWishes } from '../testing/inventClass';
import { composeClass } from './composeClass';
import { prepareClass, type Wishes } from './prepared';
import { usualSolve } from './solve';

const chosen = keysOf(drillTable).filter((drill) => drillTable[drill].purpose !== 'releases');

function evening(
  minutes: number,
  count: number,
  each: number,
  order: NonNullable<Wishes['order']> = chosen
    .slice(0, count)
    .map((drill) => ({ drill, minutes: each })),
) {
  const { input: invented } = inventClass(4, 3);
  const input = { ...invented, pieces: pieceIds.map((piece) => ({ piece, count: 9 })) };
  const wishes = { ...usualWishes, minutes, order };
  const { timeline, notes } = composeClass(
    null,
    prepareClass({ ...input, minutes }),
    wishes,
    usualSolve,
  );
  const drills = timeline.filter(({ kind }) => kind === 'drill');
  return {
    sum: timeline.reduce((total, item) => total + item.minutes, 0),
    drills: drills.map(({ drill }) => drill),
    lengths: drills.map((item) => item.minutes),
    notes: notes.filter((note) => /hold your order|Your drills are/.test(note)),
    order: order.map(({ drill }) => drill),
  };
}

it('stays as it is where there is time for it', () => {
  const { sum, drills, lengths, notes, order } = evening(75, 4, 4);
  expect(sum).toBeCloseTo(75, 9);
  expect(drills).toEqual(order);
  expect(lengths).toEqual([4, 4, 4, 4]);
  expect(notes).toEqual([]);
});

it('says by how much it was made shorter', () => {
  const { sum, drills, lengths, notes, order } = evening(60, 6, 10);
  expect(sum).toBeCloseTo(60, 9);
  expect(drills).toEqual(order);
  const short = 60 - lengths.reduce((total, one) => total + one, 0);
  expect(short).toBeGreaterThan(20);
  expect(notes).toEqual([
    `Your drills are ${short} min longer than there is time for: the longest were made shorter.`,
  ]);
});

it('says nothing of a drill that was deleted since, nor of one that is done twice', () => {
  const gone = { drill: 'own-gone' as const, minutes: 4 };
  const twice = chosen.slice(0, 2).map((drill) => ({ drill, minutes: 4 }));
  const { drills, lengths, notes } = evening(75, 0, 0, [...twice, gone, twice[0]!]);
  expect(drills).toEqual([chosen[0], chosen[1], chosen[0]]);
  expect(lengths).toEqual([4, 4, 4]);
  expect(notes).toEqual([]);
});

it.each([
  [20, 20],
  [45, 24],
  [30, 18],
])('leaves out the last of it where %i min cannot hold %i, and says so', (minutes, count) => {
  const { sum, drills, lengths, notes, order } = evening(minutes, count, 1);
  expect(sum).toBeCloseTo(minutes, 9);
  expect(drills.length).toBeGreaterThan(0);
  expect(drills).toEqual(order.slice(0, drills.length));
  expect(Math.min(...lengths)).toBe(1);
  const left = order.length - drills.length;
  expect(left).toBeGreaterThan(1);
  expect(notes).toEqual([
    `${minutes} min do not hold your order: its last ${left} drills are left out.`,
  ]);
});

it('says what the cupboard has too little for, and what nobody who comes may do', () => {
  const notesOf = (chairs: number, closed: boolean) => {
    const { input } = inventClass(4, 6);
    const pieces = [
      { piece: 'chair', count: chairs },
      { piece: 'blanket', count: 6 },
    ] as const;
    const order = [
      { drill: 'elbows-on-chair', minutes: 4 },
      { drill: 'crown-roll', minutes: 4 },
    ] as const;
    const wishes = { ...usualWishes, order };
    const prepared = prepareClass({ ...input, pieces });
    const people = prepared.people.map((person) => ({
      ...person,
      closedDrills: closed ? (['crown-roll'] as const) : [],
    }));
    return composeClass(null, { ...prepared, people }, wishes, usualSolve).notes.filter((note) =>
      note.includes('in your order'),
    );
  };
  const chair = 'Elbows on a chair, hands behind the head, in your order, takes 1 chair each';
  expect(notesOf(0, false)).toEqual([`${chair}: there are none.`]);
  expect(notesOf(2, false)).toEqual([`${chair}: there are 2 for 6.`]);
  // In two turns three do for six.
  expect(notesOf(3, false)).toEqual([]);
  expect(notesOf(6, true)).toEqual(['Crown roll, in your order, is open to nobody who comes.']);
});
