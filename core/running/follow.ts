/** How a running class follows its plan: who is where, what is locked, what a change asks for. */
import type { CheckInClass } from '../catalog/keys';
import { exact } from '../exact';
import type { BaseId } from '../catalog/checks';
import type { LadderId } from '../catalog/stage';
import type { PlanFile } from '../files/planFile';
import type { PreparedClass, Wishes } from '../compose/prepared';
import { isPlacementOpen } from '../compose/readBack';
import { doorKey, type FloorState } from './replay';

export type PlacedPerson = PlanFile['rounds'][number]['people'][number];

/** What carries the weight on a ladder: what a try there is evidence on. */
export const baseOfLadder: Readonly<Record<LadderId, BaseId | null>> = {
  'forearm-stand': 'forearms',
  headstand: 'head',
  handstand: 'hands',
  'shoulder-stand': null,
  'arm-balance': 'hands',
};

export type DoorState = 'free' | 'ask' | 'confirmed' | 'instead';

/**
 * May the planned shape be done? Locked until every check of the day is confirmed; one "no" means
 * the shape beside it. Source: handbook 06 "Checks of the day".
 *
 * @param keyOf the check behind a label of the plan
 */
export function doorOf(
  placed: PlacedPerson,
  state: Pick<FloorState, 'door'>,
  keyOf: (label: string) => CheckInClass,
): DoorState {
  if (placed.confirmAtDoor.length === 0) return 'free';
  const answers = placed.confirmAtDoor.map((label) =>
    state.door.get(doorKey(placed.id, keyOf(label))),
  );
  if (answers.includes(false)) return 'instead';
  return answers.every((answer) => answer === true) ? 'confirmed' : 'ask';
}

/** Who is away: who was planned away stays so until somebody marks them as come. */
export const awayFrom = (
  state: Pick<FloorState, 'absent' | 'present'>,
  { wishes }: Pick<PlanFile, 'wishes'>,
): ReadonlySet<string> =>
  new Set([...wishes.absent.filter((id) => !state.present.has(id)), ...state.absent]);

/** Who keeps the feet down: as planned, unless it was said otherwise since. */
export const feetDownNow = (
  state: Pick<FloorState, 'feetDown'>,
  { wishes }: Pick<PlanFile, 'wishes'>,
): string[] =>
  [
    ...(wishes.feetDown ?? []).filter((id) => state.feetDown.get(id) !== false),
    ...[...state.feetDown].flatMap(([id, isDown]) => (isDown ? [id] : [])),
  ]
    .filter((id, index, all) => all.indexOf(id) === index)
    .sort();

/** From which round on somebody is there, and without the drills before it; 0: in time after all. */
export const lateNow = (
  state: Pick<FloorState, 'late'>,
  { wishes }: Pick<PlanFile, 'wishes'>,
): ReadonlyMap<string, number> =>
  new Map([...wishes.late.map(({ person, round }) => [person, round] as const), ...state.late]);

/** Whether drills or rounds have begun: who comes now has missed some of what prepares. */
export const isUnderWay = (
  state: Pick<FloorState, 'segment' | 'segmentSinceMs'>,
  { timeline }: Pick<PlanFile, 'timeline'>,
): boolean =>
  state.segmentSinceMs !== null &&
  timeline.slice(0, state.segment + 1).some(({ kind }) => kind === 'drill' || kind === 'round');

/** The plan the class follows now. */
export const planOf = (state: Pick<FloorState, 'plan'>, begun: PlanFile): PlanFile =>
  state.plan ?? begun;

/**
 * What the class asks of a new plan, or `null` when the one that stands still answers it: who is
 * missing, late, sore, new, had a stop sign, or was judged anew. What was wished before the class
 * holds throughout.
 *
 * @param begun the plan the class began with
 * @param now the plan it follows
 * @param judged how often people were judged anew since the class began
 * @param openedAt by which time of these something was opened to somebody that a plan should know of
 */
export function wishesNow(
  state: Pick<
    FloorState,
    'absent' | 'present' | 'late' | 'feetDown' | 'halts' | 'roundsDone' | 'segment'
  >,
  begun: PlanFile,
  now: PlanFile,
  prepared: PreparedClass,
  judged = 0,
  openedAt = 0,
): Wishes | null {
  const { wishes } = begun;
  const known = new Set(prepared.people.map(({ id }) => id));
  const absent = [...awayFrom(state, begun)].filter((id) => known.has(id)).sort();
  const late = [...lateNow(state, begun)]
    .filter(([id, round]) => round > 0 && known.has(id) && !absent.includes(id))
    .map(([person, round]) => ({ person, round }));
  const felt = state.halts.flatMap(({ person, place }) =>
    place === undefined ? [] : [{ person, place }],
  );
  // A stop sign closes every inversion; the student lies down, and somebody sees to them.
  const signed = [...new Set(state.halts.flatMap((one) => (one.sign ? [one.person] : [])))];
  const pins = [
    ...wishes.pins.filter((pin) => !('person' in pin && signed.includes(pin.person))),
    ...signed.map((person) => ({ kind: 'student', person, option: 'rest' }) as const),
  ];
  const feetDown = feetDownNow(state, begun).filter((id) => known.has(id));
  const next = { absent, late, sore: dedupe([...wishes.sore, ...felt]), feetDown, pins };
  const done = Math.max(wishes.done, state.roundsDone);
  const stands =
    isWhole(now, prepared, absent, done) &&
    (now.judged ?? 0) >= openedAt &&
    !isSeenAnew(state, begun, now, prepared, judged);
  if (stands && JSON.stringify(next) === JSON.stringify(askedOf(now))) return null;
  const { order: _, ...rest } = wishes;
  // What was drilled is what stands in the order that was begun, whatever would be chosen now.
  const drills = begun.timeline.flatMap(({ kind, drill }) =>
    kind === 'drill' && drill !== undefined ? [drill] : [],
  );
  const inTime = [...lateNow(state, begun)].flatMap(([id, round]) => (round === 0 ? [id] : []));
  return { ...exact(rest), ...exact(next), done, begun: drills, inTime };
}

/**
 * On an evening for looking the rounds rest on what is seen before them: until the first of them
 * begins, whatever was seen asks for a new plan, and nothing of the guess need be kept.
 */
export function isSeenAnew(
  { segment }: Pick<FloorState, 'segment'>,
  begun: PlanFile,
  now: PlanFile,
  { isLooking }: Pick<PreparedClass, 'isLooking'>,
  judged: number,
): boolean {
  const first = begun.timeline.findIndex(({ kind }) => kind === 'round');
  return isLooking === true && segment < first && (now.judged ?? 0) < judged;
}

/** Everybody who is here is in the rounds to come, with something that is open to them. */
function isWhole(
  { rounds }: PlanFile,
  prepared: PreparedClass,
  absent: readonly string[],
  done: number,
): boolean {
  return rounds.slice(done).every(({ people }) => {
    const placed = new Set(people.map(({ id }) => id));
    return (
      people.every((one) => isPlacementOpen(prepared, one)) &&
      prepared.people.every(({ id }) => placed.has(id) || absent.includes(id))
    );
  });
}

const askedOf = ({ wishes: { absent, late, sore, feetDown = [], pins } }: PlanFile) => ({
  absent: [...absent].sort(),
  late,
  sore,
  feetDown: [...feetDown].sort(),
  pins,
});

function dedupe<T extends { person: string; place: string }>(list: readonly T[]): T[] {
  const seen = new Set<string>();
  return list.filter(({ person, place }) => {
    const key = `${person}/${place}`;
    return !seen.has(key) && seen.add(key);
  });
}

const whoDidWhat = ({ people }: PlanFile['rounds'][number]) =>
  people
    .map(({ id, option }) => `${id}/${option}`)
    .sort()
    .join('|');

/**
 * The running order stays as it was begun; only the rounds to come and what belongs to them are
 * new. Rounds behind are taken from the new plan, under its letters, where it still knows what was
 * done in them.
 */
export const mergePlan = (before: PlanFile, after: PlanFile): PlanFile => ({
  ...after,
  timeline: before.timeline,
  checks: before.checks,
  rounds: after.rounds.map((round, index) => {
    const was = before.rounds[index];
    if (was === undefined || index >= after.wishes.done) return round;
    return whoDidWhat(was) === whoDidWhat(round) ? round : was;
  }),
});

export interface Move {
  readonly person: string;
  readonly from: PlacedPerson;
  readonly to: PlacedPerson;
}

/** Who goes where when one round turns into the next; who stays is left out. */
export function listMoves(plan: PlanFile, fromRound: number): Move[] {
  const [before, after] = [plan.rounds[fromRound - 1], plan.rounds[fromRound]];
  if (before === undefined || after === undefined) return [];
  return after.people.flatMap((to): Move[] => {
    const from = before.people.find(({ id }) => id === to.id);
    if (from === undefined) return [];
    const stays =
      from.option === to.option &&
      from.letter === to.letter &&
      JSON.stringify(from.place) === JSON.stringify(to.place) &&
      from.needsHand === to.needsHand;
    return stays ? [] : [{ person: to.id, from, to }];
  });
}
