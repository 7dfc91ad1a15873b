/** The first evening, when nobody is known: something real for everybody, and looking comes first. */
import loadHighs, { type Highs } from 'highs';
import type { DrillKey } from '../catalog/drills';
import { pieceIds } from '../catalog/pieces';
import { profileIds } from '../catalog/profiles';
import { ladderIds, type LadderId } from '../catalog/stage';
import { composeInput, readClassFile } from '../files/classFile';
import { toPlanFile } from '../files/planFile';
import { seededRandom } from '../random';
import { inventRoom } from '../testing/inventClass';
import { composeClass } from './composeClass';
import { prepareClass } from './prepared';
import { usualSolve } from './solve';
import { kindOf } from './worth';
import { seedsTo, someOf } from '../testing/depth';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const room = {
  format: 'levitar-room',
  version: 1,
  name: 'Hall',
  widthM: 8,
  depthM: 9,
  ceilingM: 2.9,
  blocked: [],
  doors: [],
  low: [],
} as const;
const cupboard = [
  { piece: 'foam-block', count: 8 },
  { piece: 'strap-240', count: 3 },
  { piece: 'chair', count: 2 },
  { piece: 'blanket', count: 6 },
] as const;

function evening(
  people: number,
  change: object = {},
  person: object = {},
  solver: Highs | null = highs,
) {
  const file = composeInput.parse({
    format: 'levitar-class',
    version: 1,
    asOf: '2026-11-19',
    profile: 'prop-led',
    families: ['forearm-stand'],
    room,
    pieces: cupboard,
    people: Array.from({ length: people }, (_, index) => ({
      id: `p${index}`,
      body: { heightM: 1.5 + (0.4 * index) / people },
      consent: 'ask',
      screenedOn: null,
      ...person,
    })),
    ...change,
  });
  const { classInput, wishes } = readClassFile(file);
  const prepared = prepareClass(classInput);
  const plan = composeClass(solver, prepared, wishes, usualSolve);
  const written = toPlanFile(plan, prepared, wishes, { binding: [], relief: null });
  return { prepared, plan, written, wishes };
}

const restOf = ({ written }: ReturnType<typeof evening>) =>
  written.timeline.find(({ kind }) => kind === 'rest')!.minutes;

const isSorted = (list: readonly number[]) =>
  list.every((one, at) => at === 0 || one >= list[at - 1]!);

describe('a first evening', () => {
  const every: [number, LadderId[], object][] = [
    ...ladderIds.map((family): [number, LadderId[], object] => [8, [family], {}]),
    [1, ['forearm-stand'], {}],
    [14, ['headstand', 'arm-balance'], { minutes: 90 }],
    [24, ['handstand'], { pieces: [] }],
    [6, ['shoulder-stand'], { pieces: [], profile: 'strength-led' }],
    [10, ['headstand'], { pieces: [], profile: 'play-led', minutes: 60 }],
    // Two hours are filled as well, whatever the school and the cupboard.
    [14, ['arm-balance'], { pieces: [], profile: 'strength-led', minutes: 120 }],
  ];
  const classes = someOf(every, 4);

  /** Each of them is composed once, and looked at twice. */
  const composed = new Map<string, ReturnType<typeof evening>>();
  function eveningOf(n: number, families: LadderId[], change: object) {
    const key = JSON.stringify([n, families, change]);
    const made = composed.get(key) ?? evening(n, { families, ...change });
    composed.set(key, made);
    return made;
  }

  it.each(classes)(
    'of %i unknown people, %j, has three shapes for each and no rest',
    (n, families, change) => {
      const made = eveningOf(n, families, change);
      const { plan, written } = made;
      for (const { id } of made.prepared.people) {
        const done = plan.rounds.map(({ people }) => people.find((one) => one.id === id)!.option!);
        expect([id, done.some((option) => option.isRest === true)]).toEqual([id, false]);
        expect([id, new Set(done.map(kindOf)).size]).toEqual([id, 3]);
        // Each round says how much of it.
        expect(
          done.filter(({ stage }) => stage !== undefined).every(({ dose }) => dose !== undefined),
        ).toBe(true);
      }
      expect(restOf(made)).toBeLessThanOrEqual(10);
      expect(written.timeline.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(
        written.wishes.minutes,
        9,
      );
    },
  );

  it.each(classes)(
    'of %i unknown people, %j, has a check that answers something for each',
    (n, families, change) => {
      const { prepared, written } = eveningOf(n, families, change);
      expect(prepared.isLooking).toBe(true);
      const asked = new Set(written.checks.flatMap(({ people }) => people.map(({ id }) => id)));
      expect(asked.size).toBe(n);
      // They come before the drills that tire.
      const at = written.timeline.findIndex(({ kind }) => kind === 'checks');
      const tiring = written.timeline.findIndex(
        ({ drill }) => drill !== undefined && prepared.drills![drill]!.purpose === 'strengthens',
      );
      expect(at).toBeGreaterThan(0);
      if (tiring >= 0) expect(at).toBeLessThan(tiring);
    },
  );

  it('has all of that in any room, with any cupboard, in any school', () => {
    const minutesOf = [45, 60, 75, 90, 120];
    for (const seed of seedsTo(60, 10)) {
      const random = seededRandom(seed * 13 + 5);
      const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
      const families = [...new Set([pick(ladderIds), pick(ladderIds)])];
      const pieces = pieceIds
        .filter(() => random() < 0.5)
        .map((piece) => ({ piece, count: 1 + Math.floor(random() * 9) }));
      const n = 1 + Math.floor(random() * 16);
      const minutes = pick(minutesOf);
      const profile = pick(profileIds);
      const change = { families, pieces, minutes, profile, room: inventRoom(random) };
      const made = evening(n, change, {}, null);
      const { plan, prepared, written } = made;
      const asked = new Set(written.checks.flatMap(({ people }) => people.map(({ id }) => id)));
      expect([seed, prepared.isLooking, asked.size]).toEqual([seed, true, n]);
      expect([seed, restOf(made) <= 10]).toEqual([seed, true]);
      const total = written.timeline.reduce((sum, one) => sum + one.minutes, 0);
      expect(total).toBeCloseTo(minutes, 9);
      for (const { id } of prepared.people) {
        const done = plan.rounds.map(({ people }) => people.find((one) => one.id === id)!.option!);
        expect([seed, id, done.some((option) => option.isRest === true)]).toEqual([
          seed,
          id,
          false,
        ]);
        expect([seed, id, new Set(done.map(kindOf)).size]).toEqual([seed, id, done.length]);
      }
    }
  });

  it('asks for the counterpose of a hold alone, and of somebody who may do it', () => {
    const families: LadderId[] = ['headstand', 'shoulder-stand'];
    const shut = evening(8, { families, minutes: 90 }, { cautions: ['eye'] });
    const labels = shut.written.rounds.flatMap(({ people }) => people.map(({ label }) => label));
    // Curls on the back bend no neck under weight, and nothing else of that family is done.
    expect(labels).toContain('Release and curl');
    for (const { plan, written } of [shut, evening(8, { families, minutes: 90 })]) {
      const holders = (family: LadderId) =>
        plan.rounds.flatMap(({ people }) =>
          people.flatMap(({ id, option }) =>
            option?.stage !== undefined && option.family === family && !option.sparesCounter
              ? [id]
              : [],
          ),
        );
      const after = written.timeline.filter(({ kind }) => kind === 'counter');
      for (const { family, sitOut = [] } of after) {
        const isShut = (id: string) => sitOut.some((one) => one.id === id && !one.unlessAsked);
        expect([family, holders(family!).some((id) => !isShut(id))]).toEqual([family, true]);
      }
      for (const { label, kind, sitOut = [] } of written.timeline) {
        // A pause is taken by everybody, in one shape or another.
        if (kind === 'drill' || kind === 'release')
          expect([label, sitOut.length < 8]).toEqual([label, true]);
      }
      if (plan === shut.plan) expect(after).toEqual([]);
      else expect(after.map(({ family }) => family)).toEqual(families);
    }
  });

  it('asks for the counterpose of what is done once it is asked at the door, unless it is', () => {
    const blankets = [
      { piece: 'blanket', count: 40 },
      { piece: 'strap-240', count: 4 },
    ];
    const records = ['2026-11-05', '2026-11-12', '2026-11-18'].flatMap((date) => [
      { check: 'hollow-hold', date, value: 60 },
      { check: 'neck-ease', date, value: 1 },
    ]);
    const seen = { placings: { 'shoulder-stand': { stage: 'SS5', on: '2026-11-18' } }, records };
    const evenings = (person: object) =>
      evening(4, { families: ['shoulder-stand'], minutes: 90, pieces: blankets }, person).written;
    const asked = evenings(seen);
    const doors = asked.rounds.flatMap(({ people }) =>
      people.flatMap(({ confirmAtDoor }) => confirmAtDoor),
    );
    expect(doors).toContain('First questions');
    const out = asked.timeline.find(({ kind }) => kind === 'counter')!.sitOut!;
    expect(out.map(({ unlessAsked }) => unlessAsked)).toEqual([true, true, true, true]);
    // Who was asked before does it, and whom it is closed to is not asked for it.
    const before = evenings({ ...seen, screenedOn: '2026-11-01' });
    expect(before.timeline.find(({ kind }) => kind === 'counter')!.sitOut).toBeUndefined();
    const shut = evenings({ ...seen, cautions: ['eye'] });
    expect(shut.timeline.filter(({ kind }) => kind === 'counter')).toEqual([]);
  });

  it('asks for no counterpose where everybody who would answer a hold is sore there', () => {
    const families: LadderId[] = ['handstand'];
    const sore = (place: string) =>
      evening(2, { families, sore: ['p0', 'p1'].map((person) => ({ person, place })) }).written;
    const counters = ({ timeline }: ReturnType<typeof sore>) =>
      timeline.filter(({ kind }) => kind === 'counter');
    // The neck holds something all the same, and the fold after it does not load it.
    expect(counters(sore('neck')).map(({ sitOut }) => sitOut)).toEqual([undefined]);
    // A leg that is sore stands on the hands' side, and does not fold.
    expect(counters(sore('leg'))).toEqual([]);
  });

  it('names a pause after no shape where nobody takes it in that one', () => {
    const pauses = (person: object) =>
      evening(
        4,
        { families: ['forearm-stand'], minutes: 90, pieces: [] },
        person,
      ).written.timeline.filter(({ kind }) => kind === 'pause');
    const usual = pauses({ screenedOn: '2026-11-01' });
    expect(usual.length).toBeGreaterThan(0);
    for (const { label, sitOut } of usual) {
      expect([label, sitOut]).toEqual(['Child’s pose', undefined]);
    }
    const closed = pauses({ cautions: ['eye'] });
    expect(closed.length).toBeGreaterThan(0);
    for (const { label, sitOut = [] } of closed) {
      expect([label, sitOut.length]).toEqual(['Short rest', 4]);
      expect(sitOut.map(({ instead }) => instead)).not.toContain('Child’s pose');
    }
  });

  it('fetches nothing that the cupboard does not hold', () => {
    for (const family of someOf(ladderIds, 2)) {
      const { written } = evening(8, { families: [family], pieces: [] });
      expect(written.timeline.flatMap(({ fetch = [] }) => fetch)).toEqual([]);
    }
  });

  it('does in a round what has not just been done as a drill, and goes up, not down', () => {
    const { prepared, plan, written } = evening(8, { families: ['handstand'] });
    const drilled = written.timeline.flatMap(({ drill }) =>
      drill === undefined ? [] : (prepared.drills![drill]!.sameAs ?? []),
    );
    expect(drilled).toContain('HB1');
    // What comes after it is stood on at once.
    const done = plan.rounds.flatMap(({ people }) => people.map(({ option }) => option!.stage));
    expect(done).not.toContain('HB1');
    expect(done).toContain('HB2');
    // Nobody goes back down but where there is too little for anything else: two sets of blankets.
    const others = ladderIds.filter((one) => one !== 'shoulder-stand');
    for (const family of someOf(others, 2)) {
      const { plan: other } = evening(8, { families: [family] });
      const down = other.rounds[0]!.people.filter(({ id }) => {
        const own = other.rounds.map(({ people }) => people.find((one) => one.id === id)!.option!);
        return own.some((option, round) => own[round - 1]?.from?.includes(kindOf(option)));
      });
      expect([family, down]).toEqual([family, []]);
    }
  });

  it('leads nobody past a rung by a drill that they came too late for', () => {
    const families = { families: ['handstand'], late: [{ person: 'p0', round: 1 }] };
    const { plan } = evening(8, families);
    const firstOf = (id: string) =>
      plan.rounds[0]!.people.find((one) => one.id === id)!.option!.stage;
    expect(firstOf('p1')).toBe('HB2');
    expect(firstOf('p0')).not.toBe('HB2');
  });

  it('counts as drilled what stands in the order that was begun, whatever is chosen anew', () => {
    const { prepared, wishes } = evening(8, { families: ['handstand'] });
    const first = (begun: readonly DrillKey[]) =>
      composeClass(highs, prepared, { ...wishes, begun }, usualSolve).rounds[0]!.people.map(
        ({ option }) => option!.stage,
      );
    expect(first(['wrist-lifts'])).toContain('HB2');
    expect(first([])).not.toContain('HB2');
  });

  it('climbs: nobody meets a rung whose foot they have not stood on that evening', () => {
    const { plan } = evening(6, { families: ['forearm-stand'] });
    for (const person of plan.rounds[0]!.people) {
      const done = plan.rounds.map(
        ({ people }) => people.find(({ id }) => id === person.id)!.option!,
      );
      done.forEach((option, round) => {
        if (option.needsFirst === undefined) return;
        const before = done.slice(0, round).map(kindOf);
        expect(before.some((kind) => option.above!.includes(kind))).toBe(true);
      });
      expect(done.map(({ stage }) => stage).filter(Boolean).length).toBeGreaterThan(1);
    }
  });

  it('is no longer for looking once most have been seen', () => {
    const seen = ['2026-11-05', '2026-11-12'].map((date) => ({
      check: 'forearm-plank-hold',
      date,
      value: 40,
    }));
    const { prepared } = evening(6, {}, { records: seen });
    expect(prepared.isLooking).toBeUndefined();
  });
});

describe('whoever has fallen below a bar', () => {
  it('works on the highest rung whose own gate holds, without any piece in the room', () => {
    const records = [
      ...['2026-11-05', '2026-11-12'].map((date) => ({
        check: 'forearm-plank-hold',
        date,
        value: 40,
      })),
      ...['2026-11-05', '2026-11-12'].map((date) => ({ check: 'dolphin-hold', date, value: 18 })),
    ];
    const { plan } = evening(
      3,
      { pieces: [] },
      { records, present: { 'forearm-stand': 'FS8' }, screenedOn: '2026-11-01' },
    );
    for (const { people } of plan.rounds) {
      for (const { option } of people) {
        expect(option!.isRest).toBeUndefined();
      }
    }
    const stages = new Set(
      plan.rounds.flatMap(({ people }) => people.map(({ option }) => option!.stage)),
    );
    expect(stages.has('FS5')).toBe(true);
    expect(stages.has('FS8')).toBe(false);
  });
});

describe('an evening without tries', () => {
  it('is drills, a cool-down and at most ten minutes of rest', () => {
    const made = evening(8, { rounds: 0 });
    const kinds = made.written.timeline.map(({ kind }) => kind);
    expect(kinds).not.toContain('round');
    expect(kinds).not.toContain('counter');
    expect(kinds).toContain('release');
    expect(made.written.notes).toEqual([]);
    expect(restOf(made)).toBeLessThanOrEqual(10);
  });

  it('keeps to its theme where there is one', () => {
    const count = (theme?: string) => {
      const { written, prepared } = evening(8, {
        rounds: 0,
        pieces: [...cupboard, { piece: 'strap-180', count: 8 }],
        ...(theme === undefined ? {} : { theme }),
      });
      return written.timeline.filter(
        ({ drill, kind }) =>
          kind === 'drill' && prepared.drills![drill!]!.serves.includes('shoulder-flexion'),
      ).length;
    };
    expect(count('shoulders')).toBeGreaterThan(count('legs'));
  });
});

describe('the running order', () => {
  it('keeps positions together, and counts what moves', () => {
    const { written } = evening(10, { minutes: 90 });
    const drills = written.timeline.filter(({ kind }) => kind === 'drill');
    const changes = drills.filter(
      ({ position }, at) => at > 0 && position !== drills[at - 1]!.position,
    ).length;
    expect(written.moves!.positions).toBe(changes);
    const positions = new Set(drills.map(({ position }) => position)).size;
    // Back to a position at most twice: once to warm it, once to work on it.
    expect(changes).toBeLessThanOrEqual(positions + 1);
    expect(isSorted(written.timeline.map(({ startsAt }) => startsAt))).toBe(true);
  });

  it('has the counterposes of what is held tonight alone', () => {
    const { written, plan } = evening(6, { families: ['forearm-stand', 'shoulder-stand'] });
    const held = new Set(
      plan.rounds.flatMap(({ people }) =>
        people.flatMap(({ option }) =>
          option?.stage === undefined || option.sparesCounter === true ? [] : [option.family],
        ),
      ),
    );
    const countered = written.timeline.filter(({ kind }) => kind === 'counter');
    expect(new Set(countered.map(({ family }) => family))).toEqual(held);
  });

  it('gives leftover minutes where the teacher wants them', () => {
    const minutes = (spare: string) => {
      const { written } = evening(4, { minutes: 110, spare });
      const of = (kind: string) =>
        written.timeline.filter((one) => one.kind === kind).map((one) => one.minutes);
      return { rounds: of('round'), rest: of('rest')[0]! };
    };
    expect(minutes('drills').rounds).toEqual([4, 4, 4]);
    expect(Math.min(...minutes('rounds').rounds)).toBeGreaterThan(4);
    expect(minutes('rest').rest).toBeGreaterThan(10);
  });
});
