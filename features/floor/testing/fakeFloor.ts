/** A class on the floor whose taps are only noted. */
import { checkTable } from '@/core/catalog/checks';
import { replay } from '@/core/running/replay';
import type { PlacedPerson } from '@/core/running/follow';
import type { FloorAct, Tap } from '@/core/running/tap';
import { uniteTaps } from '@/core/running/taps';
import type { FloorBundle } from '@/server/running/floorBundle';
import type { Floor } from '@/features/floor/useFloor';

export interface FakeFloor {
  readonly floor: Floor;
  readonly said: FloorAct[];
  /** As it stands after what was said. */
  readonly now: () => Floor;
}

/** @param before taps that were made before the screen came */
export function fakeFloor(before: readonly FloorAct[] = [], everyMs = 10_000): FakeFloor {
  const said: FloorAct[] = [];
  let taps: Tap[] = [];
  let seq = 0;
  const add = (act: FloorAct): Tap => {
    seq += 1;
    const monoMs = seq * everyMs;
    const tap: Tap = { device: 'd', seq, at: { boot: 'b', monoMs, wallMs: 1e12 + monoMs }, act };
    taps = uniteTaps(taps, [tap]);
    return tap;
  };
  before.forEach(add);
  const say = (act: FloorAct) => {
    said.push(act);
    return Promise.resolve(add(act));
  };
  const now = (): Floor => ({
    state: replay(taps),
    device: 'd',
    waiting: 0,
    link: 'heard',
    problem: null,
    revision: 1,
    say,
    undo: () => undefined,
    nowLine: (monoMs) => 1e12 + monoMs,
    boot: 'b',
  });
  return { floor: now(), said, now };
}

/** The parts of a class that the panels of the floor read. */
export const fakeBundle = (more: Partial<FloorBundle> = {}): FloorBundle =>
  ({
    uid: 'u',
    revision: 1,
    breathSeconds: 5,
    units: 'cm',
    plan: {
      families: ['forearm-stand'],
      checks: [],
      rounds: [],
      timeline: [],
      wishes: { absent: [], late: [], sore: [], feetDown: [], pins: [] },
    },
    members: [],
    prepared: { people: [] },
    faults: { 'head-touches': 'head touches', sag: 'sags' },
    checks: (['dolphin-hold', 'dolphin-one-leg', 'wall-hold'] as const).map((check) => {
      const spec = checkTable[check];
      return {
        check,
        label: spec.label,
        kind: spec.scoring.kind,
        bar: 45,
        most: spec.most,
        hasSides: 'hasSides' in spec,
        byBase: 'byBase' in spec,
        timedTogether: 'timedTogether' in spec,
        voidedBy: spec.voidedBy,
        regions: [...Object.keys(spec.loads), ...spec.strains],
      };
    }),
    ...more,
  }) as unknown as FloorBundle;

/** Ada at her place in a round, at the side of the room. */
export const fakePlaced = (more: Partial<PlacedPerson> = {}): PlacedPerson =>
  ({
    id: '1',
    option: 'kick',
    label: 'Kick to the wall',
    letter: 'B',
    needsHand: false,
    asksFirst: false,
    confirmAtDoor: [],
    place: { kind: 'aside' },
    ...more,
  }) as unknown as PlacedPerson;
