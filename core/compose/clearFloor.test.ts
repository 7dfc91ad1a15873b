import loadHighs from 'highs';
import { shippedSchool } from '../catalog/school';
import { usableSpans, wallIds, type Room, type WallId } from '../room/room';
import { roomFile } from '../room/roomFile';
import { seededRandom } from '../random';
import { everything, makeCase } from '../testing/cases';
import { inventClass, inventRoom, usualWishes } from '../testing/inventClass';
import { countBeside } from './clearFloor';
import { toPlanFile } from '../files/planFile';
import { composeClass } from './composeClass';
import { listOutdated } from './outdated';
import { prepareClass, type ClassInput, type Wishes } from './prepared';
import { listSittingOut } from './sittingOut';
import { circlesBeside } from './problem';
import { usualSolve } from './solve';
import { ofMany, seedsTo } from '../testing/depth';

const bare = (widthM: number, depthM: number, more: object = {}): Room =>
  roomFile.parse({
    format: 'levitar-room',
    version: 1,
    widthM,
    depthM,
    ceilingM: 2.8,
    blocked: [],
    doors: [],
    low: [],
    ...more,
  });
const wanted = { depthM: 2, radiusM: 2, heightM: 2.2, most: 4 };
const beside = (room: Room, ...walls: WallId[]) => {
  const { most, rules } = countBeside(room, usableSpans(room), wanted);
  return circlesBeside({ circles: most, circleRules: rules }, (wall) => walls.includes(wall));
};

describe('clear circles beside lanes', () => {
  it('take the floor before a wall that nobody stands at', () => {
    // Two circles of four metres side by side; lanes two metres deep.
    const room = bare(8, 4);
    expect(beside(room)).toBe(2);
    expect(beside(room, 'west')).toBe(1);
    expect(beside(room, 'west', 'east')).toBe(1);
    expect(beside(room, 'north')).toBe(0);
  });

  it('never take the floor under something too low for them', () => {
    const room = bare(8, 4, {
      low: [{ xM: 0, yM: 0, widthM: 1, depthM: 4, heightM: 2, what: 'beam' }],
    });
    expect(beside(room)).toBe(1);
    expect(beside(room, 'west')).toBe(1);
    expect(beside(room, 'north')).toBe(0);
    // What hangs in one corner leaves the rest.
    const corner = { xM: 0, yM: 0, widthM: 0.5, depthM: 0.5, heightM: 2, what: 'lamp' };
    expect(beside(bare(8, 4, { low: [corner] }))).toBe(2);
    const middle = { ...corner, xM: 3.8, yM: 1.8 };
    expect(beside(bare(8, 4, { low: [middle] }))).toBe(0);
    expect(beside(bare(8, 4, { low: [{ ...middle, heightM: 2.3 }] }))).toBe(2);
    expect(beside(bare(8, 4, { ceilingM: 2.1 }))).toBe(0);
  });

  it('are no more for one more wall in use, and fit on the floor that is named', () => {
    const random = seededRandom(5);
    let fewer = 0;
    for (let turn = 0; turn < ofMany(60, 16); turn += 1) {
      const room = inventRoom(random);
      const spans = usableSpans(room);
      const own = { ...wanted, radiusM: 0.6 + 1.2 * random() };
      const { most, rules, placeBeside } = countBeside(room, spans, own);
      const count = (walls: ReadonlySet<WallId>) =>
        circlesBeside({ circles: most, circleRules: rules }, (wall) => walls.has(wall));
      for (let bits = 0; bits < 16; bits += 1) {
        const walls = new Set(wallIds.filter((_, at) => Math.floor(bits / 2 ** at) % 2 === 1));
        const there = new Set([...walls].filter((wall) => spans.some((one) => one.wall === wall)));
        const now = count(there);
        if (now < most) fewer += 1;
        for (const wall of there) {
          const without = new Set([...there].filter((one) => one !== wall));
          expect(now).toBeLessThanOrEqual(count(without));
        }
        const ids = Array.from({ length: now }, (_, at) => `p${at}`);
        expect(placeBeside(there, [...ids, 'more'])).toBe(null);
        for (const { x, y } of placeBeside(there, ids)!) {
          const off = { west: x, south: y, east: room.widthM - x, north: room.depthM - y };
          for (const wall of wallIds) {
            const depthM = there.has(wall) ? own.depthM : 0;
            expect(off[wall]).toBeGreaterThanOrEqual(depthM + own.radiusM - 1e-9);
          }
        }
      }
    }
    expect(fewer).toBeGreaterThan(50);
  });
});

describe('a room', () => {
  const alone = (room: Room, heights: readonly number[] = [1.7, 1.7]): ClassInput => ({
    ...usualWishes,
    families: ['headstand'],
    room,
    pieces: [{ piece: 'blanket', count: 4 }],
    people: heights.map((heightM, at) => ({
      id: 'abcd'[at]!,
      body: { heightM },
      opened: makeCase({ evidence: everything, present: { headstand: 'HS8' } }),
    })),
    school: shippedSchool('prop-led'),
  });
  const whoStandsFree = (room: Room) =>
    composeClass(null, prepareClass(alone(room)), usualWishes, usualSolve).rounds.flatMap(
      ({ people }) => people.map(({ option }) => option?.needsCircle === true),
    );

  it('with four free walls lets somebody stand free in the middle of it', () => {
    expect(whoStandsFree(bare(6, 5))).toContain(true);
    // Where a circle fits nowhere, nobody does.
    expect(whoStandsFree(bare(4, 5))).not.toContain(true);
  });

  it('lets whoever is small enough stand free, whoever comes besides', () => {
    const whoIsFree = (room: Room, ...heights: number[]) => {
      const plan = composeClass(null, prepareClass(alone(room, heights)), usualWishes, usualSolve);
      const free = plan.rounds.flatMap(({ people }) =>
        people.flatMap(({ id, option }) => (option?.needsCircle === true ? id : [])),
      );
      return [...new Set(free)].join('');
    };
    // A circle of 4.9 m for the one, of 3.8 m for the other.
    expect(whoIsFree(bare(5, 4.6), 1.98)).toBe('');
    expect(whoIsFree(bare(5, 4.6), 1.98, 1.5)).toBe('b');
    // Under a ceiling as well.
    const low = bare(7, 7, { ceilingM: 2.1 });
    expect(whoIsFree(low, 1.98)).toBe('');
    expect(whoIsFree(low, 1.98, 1.5)).toBe('b');
  });

  it('keeps nobody from hops for want of room for somebody else', () => {
    // A circle of 4.4 m for the one, of 5.4 m for the other.
    const wishes: Wishes = {
      ...usualWishes,
      pins: [{ kind: 'drill', drill: 'mini-hops', use: true }],
    };
    const prepared = prepareClass({ ...alone(bare(7, 5), [1.98, 1.55]), families: ['handstand'] });
    const [tall, small] = prepared.people;
    expect(tall!.closedDrills).toContain('mini-hops');
    expect(small!.closedDrills).not.toContain('mini-hops');
    const { timeline } = composeClass(null, prepared, wishes, usualSolve);
    const hops = timeline.find(({ drill }) => drill === 'mini-hops')!;
    expect(listSittingOut(hops, prepared.people).map(({ id }) => id)).toEqual(['a']);
    const low = prepareClass(alone(bare(7, 7, { ceilingM: 2.2 }), [1.98, 1.55]));
    expect(low.people.map(({ closedDrills }) => closedDrills.includes('mini-hops'))).toEqual([
      true,
      false,
    ]);
  });

  it('is not changed by what hangs in its corner, beside somebody’s circle', () => {
    const lamp = { xM: 0, yM: 0, widthM: 0.4, depthM: 0.4, heightM: 1.9, what: 'lamp' };
    const room = bare(9, 4.4, { low: [lamp] });
    const prepared = prepareClass(alone(room));
    const plan = composeClass(null, prepared, usualWishes, usualSolve);
    const file = toPlanFile(plan, prepared, usualWishes, { binding: [], relief: null });
    const circles = file.rounds.flatMap(({ people }) =>
      people.flatMap(({ place }) => (place.kind === 'circle' ? place : [])),
    );
    // The square about it lies under the lamp, the circle does not.
    expect(circles.some(({ x, y, radiusM: r }) => x - r < 0.4 && y - r < 0.4)).toBe(true);
    expect(listOutdated(file, prepared, (id) => id)).toEqual([]);
    const large = { ...lamp, widthM: 1.2, depthM: 1.2 };
    const later = prepareClass(alone({ ...room, low: [large] }));
    expect(listOutdated(file, later, (id) => id).join()).toContain('no longer has the place');
  });

  it('is worth as much turned round, and no less with a wall more', async () => {
    const highs = await loadHighs();
    const next = { north: 'east', east: 'south', south: 'west', west: 'north' } as const;
    const turn = <T extends { readonly wall: WallId }>(one: T) => ({
      ...one,
      wall: next[one.wall],
    });
    const turned = (room: Room): Room => ({
      ...room,
      widthM: room.depthM,
      depthM: room.widthM,
      blocked: room.blocked.map(turn),
      doors: room.doors.map(turn),
      low: room.low.map((one) => ({
        ...one,
        xM: one.yM,
        yM: room.widthM - one.xM - one.widthM,
        widthM: one.depthM,
        depthM: one.widthM,
      })),
    });
    let compared = 0;
    // Seed 2 was once worth less for a wall more: lanes that nobody used took the floor.
    for (const seed of seedsTo(9, 3)) {
      const { input, wishes } = inventClass(seed, 1 + (seed % 3));
      const plan = (room: Room) =>
        composeClass(highs, prepareClass({ ...input, room }), wishes, { ...usualSolve, gap: 0 });
      const now = plan(input.room);
      const round = plan(turned(input.room));
      const more = plan({ ...input.room, blocked: [] });
      if ([now, round, more].some(({ gapPercent }) => gapPercent > 1e-4)) continue;
      compared += 1;
      expect([seed, round.objective]).toEqual([seed, expect.closeTo(now.objective, 6)]);
      expect([seed, more.objective >= now.objective - 1e-6]).toEqual([seed, true]);
    }
    expect(compared).toBeGreaterThan(ofMany(6, 1));
  });
});
