/**
 * What a plan rests on and what has changed of it: who comes, what is open to them, their distances,
 * the room, the cupboard. In words for the teacher, and never why.
 */
import type { PlanFile } from '../files/planFile';
import { doorSwings, floorBefore, type Floor, type Room, type Span } from '../room/room';
import { joinWords } from '../units/words';
import type { PlannedOption } from './option';
import { drillsOf } from './drillsOf';
import { listLow } from './clearFloor';
import { matFloor } from './places';
import type { PreparedClass } from './prepared';
import { findOption, isPlacementOpen } from './readBack';
import {
  countRows,
  factsOfRows,
  kindOfRow,
  rowLabel,
  type RowId,
  type RowInUse,
} from '../pieces/rows';
import { outAsWished } from './saidBefore';
import { listLacking } from './sayOrder';
import { agrees } from './stations';

type Round = PlanFile['rounds'][number];
type Placed = Round['people'][number];

const slack = 1e-6;

/** A lane is where it was planned as long as a stretch of that wall still holds all of it, as high. */
function holdsLane(
  place: Extract<Placed['place'], { kind: 'lane' }>,
  planned: PlanFile['spans'],
  spans: readonly Span[],
  option: PlannedOption | undefined,
): boolean {
  const wall = planned.find(({ id }) => id === place.span)?.wall;
  return spans.some(
    (span) =>
      span.wall === wall &&
      span.fromM <= place.fromM + slack &&
      span.toM >= place.toM - slack &&
      span.lowestM >= (option?.heightM ?? 0) - slack,
  );
}

const isInside = (floor: Floor, room: Room) =>
  floor.left >= -slack &&
  floor.bottom >= -slack &&
  floor.right <= room.widthM + slack &&
  floor.top <= room.depthM + slack;

const meet = (a: Floor, b: Floor) =>
  a.left < b.right - slack &&
  b.left < a.right - slack &&
  a.bottom < b.top - slack &&
  b.bottom < a.top - slack;

/** The floor somebody takes up, in the room as it is; `null`: none of its own. */
function floorOf({ place }: Placed, room: Room, planned: PlanFile['spans']): Floor | null {
  switch (place.kind) {
    case 'lane': {
      const wall = planned.find(({ id }) => id === place.span)?.wall;
      return wall === undefined ? null : floorBefore(room, wall as Span['wall'], place, place.outM);
    }
    case 'circle': {
      const { x, y, radiusM: r } = place;
      return { left: x - r, right: x + r, bottom: y - r, top: y + r };
    }
    case 'mat':
      return matFloor(place.x, place.y, place.isAcross);
    case 'aside':
      return null;
    default:
      return place satisfies never;
  }
}

/** Does a floor reach into somebody's circle, and not just into the corners of its box? */
function isOverCircle({ place }: Placed, { left, right, bottom, top }: Floor): boolean {
  if (place.kind !== 'circle') return true;
  const nearX = Math.min(Math.max(place.x, left), right);
  const nearY = Math.min(Math.max(place.y, bottom), top);
  return Math.hypot(place.x - nearX, place.y - nearY) < place.radiusM - slack;
}

/** Is there still the floor, clear of doors, and the height above it? */
function isPlaceThere(
  one: Placed,
  option: PlannedOption | undefined,
  { room, spans }: Pick<PreparedClass, 'room' | 'spans'>,
  planned: PlanFile['spans'],
): boolean {
  const { place } = one;
  const floor = floorOf(one, room, planned);
  // A lane at a wall that the plan itself does not know is nowhere.
  if (floor === null) return place.kind !== 'lane';
  const isTaken = (other: Floor) => meet(other, floor) && isOverCircle(one, other);
  if (!isInside(floor, room) || doorSwings(room).some(isTaken)) return false;
  if (place.kind === 'lane') return holdsLane(place, planned, spans, option);
  return !listLow(room, option?.heightM ?? 0).some(isTaken);
}

/** Walls that have moved take their lanes along: who now lies on whom. */
function listColliding({ people }: Round, room: Room, planned: PlanFile['spans']): string[] {
  const floors = people.flatMap((one) => {
    const floor = floorOf(one, room, planned);
    return floor === null ? [] : [{ one, floor }];
  });
  return floors.flatMap(({ one, floor }, index) =>
    floors
      .slice(index + 1)
      .filter(
        ({ one: other, floor: theirs }) =>
          one.sharesWith !== other.id &&
          other.sharesWith !== one.id &&
          meet(floor, theirs) &&
          isOverCircle(one, theirs) &&
          isOverCircle(other, floor),
      )
      .flatMap(({ one: other }) => [one.id, other.id]),
  );
}

type InUse = Pick<RowInUse, 'row' | 'label' | 'used'>;

/**
 * What a round takes of pieces that its set-ups are measured to, told apart now from others of their
 * kind: a plan from before those came knows the kind alone.
 */
function listMeasured({ people }: Round, prepared: PreparedClass): InUse[] {
  const used = new Map<RowId, number>();
  const takenBy = ({ id, option }: Placed) => findOption(prepared, id, option)?.pieces ?? [];
  for (const one of people) {
    // Two who take turns have one set, and the fuller of both.
    const mate = people.find(({ id }) => id === one.sharesWith);
    if (mate !== undefined && people.indexOf(mate) < people.indexOf(one)) continue;
    const shared = new Map<RowId, number>();
    for (const { piece, count } of [
      ...takenBy(one),
      ...(mate === undefined ? [] : takenBy(mate)),
    ]) {
      if (kindOfRow(piece) !== piece) shared.set(piece, Math.max(shared.get(piece) ?? 0, count));
    }
    for (const [piece, count] of shared) used.set(piece, (used.get(piece) ?? 0) + count);
  }
  const facts = factsOfRows(prepared.pieces);
  return [...used].map(([row, count]) => ({ row, used: count, label: facts[row]?.label }));
}

/** Pieces of which a round needs more than there are now. */
function listShort(plan: PlanFile, prepared: PreparedClass): string[] {
  const rows = countRows(prepared.pieces);
  // What was told apart from a piece of one's own stands for its kind once that is gone.
  const thereOf = (row: string) => rows[row] ?? rows[kindOfRow(row)] ?? 0;
  const short = plan.rounds
    .flatMap((round): InUse[] => [...round.pieces, ...listMeasured(round, prepared)])
    .filter(({ row, used }) => used > thereOf(row))
    .sort((a, b) => b.used - a.used);
  const most = new Map(short.toReversed().map((one) => [one.row, one]));
  return [...most.values()].map(
    ({ row, used, label }) =>
      `${rowLabel(row, used, label)} ${used === 1 ? 'is' : 'are'} laid out, there ${thereOf(row) === 1 ? 'is' : 'are'} ${thereOf(row)}`,
  );
}

/** Drills that were chosen for what the cupboard held then. What the teacher put in the order stays. */
function listUndoable(plan: PlanFile, prepared: PreparedClass): string[] {
  const { wishes } = plan;
  const { pieces, people } = prepared;
  if (wishes.order !== undefined) return [];
  const drills = drillsOf(prepared);
  return plan.timeline.flatMap((line) => {
    const { kind, drill, label } = line;
    const spec = kind === 'drill' && drill !== undefined ? drills[drill] : undefined;
    if (spec === undefined || drill === undefined) return [];
    // Counted as it was planned: without those who are away, sore there, or keep the feet down.
    const isOut = outAsWished(line, wishes, drills);
    const doing = people.filter(
      ({ id, closedDrills }) =>
        !wishes.absent.includes(id) && !closedDrills.includes(drill) && !isOut(id),
    ).length;
    return listLacking(spec, doing, pieces).length === 0
      ? []
      : [`the cupboard has too little for ${label}`];
  });
}

/** Do the figures that were written down still fit this body, these bars, what was tried? */
function hasMoved(plan: PlanFile, { option: id, letter }: Placed, now: PlannedOption | undefined) {
  const station = plan.stations.find((one) => one.letter === letter && one.option === id);
  if (station === undefined || now === undefined || id === null) return false;
  const { baseM, figures, props } = station;
  const written = {
    id,
    ...(props === undefined ? {} : { props }),
    ...(baseM === undefined ? {} : { baseM }),
    ...(figures === undefined ? {} : { figures: figures as PlannedOption['figures'] & object }),
  };
  return !agrees(written, now);
}

/**
 * What has changed since a plan was made, in words; none: it stands.
 *
 * @param nameOf what people are called
 */
export function listOutdated(
  plan: PlanFile,
  prepared: PreparedClass,
  nameOf: (id: string) => string,
): string[] {
  const ids = new Set(prepared.people.map(({ id }) => id));
  const planned = new Set(plan.rounds.flatMap(({ people }) => people.map(({ id }) => id)));
  const gone = [...planned].filter((id) => !ids.has(id)).map((id) => `${nameOf(id)} is gone`);
  const come = [...ids]
    .filter((id) => !plan.wishes.absent.includes(id))
    .filter((id) => !plan.rounds.every(({ people }) => people.some((one) => one.id === id)))
    .map((id) => `${nameOf(id)} is not in it`);
  const here = plan.rounds.flatMap(({ people }) => people.filter(({ id }) => ids.has(id)));
  const closed: string[] = [];
  const displaced = new Set<string>();
  const moved = new Set<string>();
  for (const one of here) {
    const option = findOption(prepared, one.id, one.option);
    if (!isPlacementOpen(prepared, one)) {
      closed.push(`${nameOf(one.id)}: ${one.label} is no longer open`);
    } else if (hasMoved(plan, one, option)) {
      moved.add(nameOf(one.id));
    }
    if (!isPlaceThere(one, option, prepared, plan.spans)) displaced.add(nameOf(one.id));
  }
  for (const round of plan.rounds) {
    for (const id of listColliding(round, prepared.room, plan.spans)) displaced.add(nameOf(id));
  }
  const say = (names: ReadonlySet<string>, words: string) =>
    names.size === 0 ? [] : [`${words} ${joinWords([...names])}`];
  return [
    ...new Set([
      ...gone,
      ...come,
      ...closed,
      ...say(displaced, 'the room no longer has the place of'),
      ...listShort(plan, prepared),
      ...listUndoable(plan, prepared),
      ...say(moved, 'distances are others for'),
    ]),
  ];
}
