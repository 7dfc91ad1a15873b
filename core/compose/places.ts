/**
 * Where everybody is, round by round: lanes along the usable stretches, clear circles, mats on what
 * is left of the floor. Somebody who does the same stays in the same place wherever that can be.
 */
import { pieceTable } from '../catalog/pieces';
import { doorSwings, floorBefore, roomRules, type Floor, type Room, type Span } from '../room/room';
import { spaceRules } from '../room/spaceRules';
import { listLow, type FreeFloor } from './clearFloor';
import type { PlannedOption } from './option';
import { stationKey, type Pattern } from './problem';

export type Place =
  /** A lane along a wall, from its left end as one faces it, and out into the room. */
  | {
      readonly kind: 'lane';
      readonly span: string;
      readonly fromM: number;
      readonly toM: number;
      readonly outM: number;
    }
  | { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly radiusM: number }
  /** A mat on free floor, by its middle; `isAcross` lies along x. */
  | { readonly kind: 'mat'; readonly x: number; readonly y: number; readonly isAcross: boolean }
  /** No floor of its own is left: sits at the side, or takes turns. */
  | { readonly kind: 'aside' };

export interface PlacedPerson {
  readonly id: string;
  readonly pattern: Pattern;
}

export interface Ground {
  readonly room: Room;
  readonly spans: readonly Span[];
  /** A circle for each of these beside lanes at these walls; `null`: there is no room for all. */
  readonly placeBeside: FreeFloor['placeBeside'];
}

const tolerance = 1e-9;

/** Lanes with so many of those who may fall apart by the others, as far as there are others. */
function alternate<T>(falling: readonly T[], others: readonly T[]): T[] {
  const row: T[] = [];
  let next = 0;
  falling.forEach((one, index) => {
    row.push(one);
    if (index < falling.length - 1 && next < others.length) row.push(others[next++]!);
  });
  // What is left over stands at the end.
  return [...row, ...others.slice(next)];
}

/** One stretch of lane: one student, or two who take turns. */
interface Lane {
  readonly ids: readonly string[];
  readonly alongM: number;
  readonly outM: number;
  readonly mayFall: boolean;
}

const optionIn = ({ options }: Pattern, round: number) => options[round] as PlannedOption | null;

/** Everybody at one wall, two by two where they take turns. */
function groupAt(span: string, people: readonly PlacedPerson[]): PlacedPerson[][] {
  const here = people.filter(({ pattern }) => pattern.wall === span);
  const groups: PlacedPerson[][] = [];
  const waiting = new Map<string, PlacedPerson[]>();
  for (const person of here) {
    const key = stationKey(person.pattern);
    const open = key === null ? undefined : waiting.get(key);
    if (key !== null && open?.length === 1) open.push(person);
    else {
      const group = [person];
      groups.push(group);
      if (key !== null) waiting.set(key, group);
    }
    if (key !== null && waiting.get(key)?.length === 2) waiting.delete(key);
  }
  return groups;
}

function laneOf(group: readonly PlacedPerson[], rounds: readonly number[]): Lane | null {
  const options = group.flatMap(({ pattern }) =>
    rounds.flatMap((round) => optionIn(pattern, round) ?? []),
  );
  const atWall = options.filter(({ alongM }) => alongM !== undefined);
  if (atWall.length === 0) return null;
  return {
    ids: group.map(({ id }) => id),
    alongM: Math.max(...atWall.map(({ alongM }) => alongM!)),
    outM: Math.max(...atWall.map(({ outM }) => outM ?? spaceRules.behindM)),
    mayFall: atWall.some(({ isAttempt }) => isAttempt),
  };
}

/** Lanes one after the other; a mat's width between two who may fall. */
function layLanes(lanes: readonly Lane[], span: Span) {
  const row = alternate(
    lanes.filter(({ mayFall }) => mayFall),
    lanes.filter(({ mayFall }) => !mayFall),
  );
  let at = span.fromM;
  const placed = row.map((lane, index) => {
    if (index > 0 && lane.mayFall && row[index - 1]!.mayFall) at += roomRules.sidewaysM;
    const fromM = at;
    at += lane.alongM;
    return { lane, fromM, toM: at };
  });
  return { placed, fits: at <= span.toM + tolerance };
}

/** Lanes in each round; fixed for the whole class where the stretch is long enough for that. */
function placeLanes(people: readonly PlacedPerson[], spans: readonly Span[], rounds: number) {
  const all = Array.from({ length: rounds }, () => new Map<string, Place>());
  const every = Array.from({ length: rounds }, (_, round) => round);
  for (const span of spans) {
    const groups = groupAt(span.id, people);
    const put = (round: number, { placed }: ReturnType<typeof layLanes>) => {
      for (const { lane, fromM, toM } of placed) {
        for (const id of lane.ids) {
          const { pattern } = people.find((one) => one.id === id)!;
          if (optionIn(pattern, round)?.alongM === undefined) continue;
          all[round]!.set(id, { kind: 'lane', span: span.id, fromM, toM, outM: lane.outM });
        }
      }
    };
    const fixed = layLanes(
      groups.flatMap((group) => laneOf(group, every) ?? []),
      span,
    );
    for (const round of every) {
      if (fixed.fits) put(round, fixed);
      else
        put(
          round,
          layLanes(
            groups.flatMap((group) => laneOf(group, [round]) ?? []),
            span,
          ),
        );
    }
  }
  return all;
}

const matM = {
  long: pieceTable.mat.lengthM,
  wide: pieceTable.mat.widthM,
  beside: spaceRules.besideMatM,
} as const;

/** The floor a mat takes, with what is kept free beside it. */
export function matFloor(x: number, y: number, isAcross: boolean): Floor {
  const [w, h] = isAcross
    ? [matM.long, matM.wide + matM.beside]
    : [matM.wide + matM.beside, matM.long];
  return { left: x - w / 2, right: x + w / 2, bottom: y - h / 2, top: y + h / 2 };
}

const overlap = (a: Floor, b: Floor) =>
  a.left < b.right - tolerance &&
  b.left < a.right - tolerance &&
  a.bottom < b.top - tolerance &&
  b.bottom < a.top - tolerance;

/** The floor somebody's place takes. */
export function floorOf(
  place: Place,
  { room, spans }: Pick<Ground, 'room' | 'spans'>,
): Floor | null {
  if (place.kind === 'lane') {
    const span = spans.find(({ id }) => id === place.span)!;
    return floorBefore(room, span.wall, place, place.outM);
  }
  if (place.kind === 'circle') {
    const { x, y, radiusM: r } = place;
    return { left: x - r, right: x + r, bottom: y - r, top: y + r };
  }
  return place.kind === 'mat' ? matFloor(place.x, place.y, place.isAcross) : null;
}

/** Mats are tried this far apart, from the middle of the floor outwards in rows. */
const stepM = 0.15;

function findMat(room: Room, taken: readonly Floor[], heightM: number): Place | null {
  const all = [...taken, ...listLow(room, heightM), ...doorSwings(room)];
  for (const isAcross of [false, true]) {
    const half = matFloor(0, 0, isAcross);
    const columns = Math.floor((room.widthM - 2 * half.right + tolerance) / stepM);
    /** Below this every row has all of what filled the last one. */
    let filledTo = -Infinity;
    for (let y = half.top; y <= room.depthM - half.top + tolerance; y += stepM) {
      const row = matFloor(half.right, y, isAcross);
      if (row.bottom < filledTo - tolerance) continue;
      // What lies in this row at all: the same for each of its columns.
      const inRow = all.filter(
        ({ bottom, top }) => row.bottom < top - tolerance && bottom < row.top - tolerance,
      );
      for (let column = 0; column <= columns;) {
        const x = half.right + column * stepM;
        const floor = matFloor(x, y, isAcross);
        const hit = inRow.find((other) => overlap(floor, other));
        if (hit === undefined) return { kind: 'mat', x, y, isAcross };
        // Everywhere before its far side it would be hit again.
        column += Math.max(1, Math.floor((hit.right + half.right - x) / stepM));
      }
      filledTo = Math.min(...inRow.map(({ top }) => top));
    }
  }
  return null;
}

/**
 * Everybody's place in each round.
 *
 * @param done rounds that are over
 * @throws Error when fewer circles fit in a round to come than were counted
 */
export function placeEverybody(
  people: readonly PlacedPerson[],
  rounds: number,
  ground: Ground,
  done = 0,
): ReadonlyMap<string, Place>[] {
  const { spans, placeBeside } = ground;
  const lanes = placeLanes(people, spans, rounds);
  const places = lanes.map((round) => new Map(round));
  for (let round = 0; round < rounds; round += 1) {
    const free = people.filter(({ pattern }) => optionIn(pattern, round)?.needsCircle);
    const walls = new Set(
      [...lanes[round]!.values()].flatMap((place) =>
        place.kind === 'lane' ? spans.find(({ id }) => id === place.span)!.wall : [],
      ),
    );
    const circles = placeBeside(
      walls,
      free.map(({ id }) => id),
    );
    if (circles === null) {
      // What is behind was counted with who was there then.
      if (round < done) continue;
      throw new Error('the floor takes fewer circles than were counted');
    }
    circles.forEach(({ id, x, y, radiusM }) => {
      places[round]!.set(id, { kind: 'circle', x, y, radiusM });
    });
  }
  const plain = layMats(people, places, ground, 'as-listed');
  const isShort = people.some(({ id, pattern }) =>
    plain.some((round, index) => worthIn(pattern, index) >= 0 && round.get(id)?.kind === 'aside'),
  );
  return isShort ? layMats(people, places, ground, 'by-worth') : plain;
}

/** What a round is worth that asks for floor; -1: rest, or nothing at all. */
const worthIn = (pattern: Pattern, round: number): number => {
  const option = optionIn(pattern, round);
  return option === null || option.isRest ? -1 : option.value;
};

/**
 * Mats for all who have no place yet, on what is left of the floor.
 *
 * @param turn who looks first. As listed, they lie in the order of their list. Where floor is short,
 *   by worth: who works before who rests, and then whose round is worth most, so that turns cost as
 *   little as they can
 */
function layMats(
  people: readonly PlacedPerson[],
  settled: readonly ReadonlyMap<string, Place>[],
  ground: Ground,
  turn: 'as-listed' | 'by-worth',
): ReadonlyMap<string, Place>[] {
  const places = settled.map((round) => new Map(round));
  const solid = places.map((round) =>
    [...round.values()].flatMap((one) => floorOf(one, ground) ?? []),
  );
  const everywhere = solid.flat();
  const kept = new Map<string, Place>();
  /** The last round in which somebody lay on their mat; -1: in none so far. */
  const last = new Map<string, number>();
  const lay = (id: string) => last.get(id) ?? -1;
  places.forEach((here, round) => {
    const taken = [...solid[round]!];
    const worth = ({ pattern }: PlacedPerson) => worthIn(pattern, round);
    const order = people
      .filter(({ id }) => !here.has(id))
      .sort((a, b) =>
        // Who lies on a mat keeps it; only then do others look for one.
        turn === 'as-listed'
          ? Number(kept.has(b.id)) - Number(kept.has(a.id))
          : Number(worth(a) < 0) - Number(worth(b) < 0) ||
            lay(b.id) - lay(a.id) ||
            worth(b) - worth(a),
      );
    for (const { id, pattern } of order) {
      const heightM = optionIn(pattern, round)?.heightM ?? 0;
      const before = kept.get(id);
      const old = before && floorOf(before, ground);
      // Under a beam one thing may be done, and the next not.
      const low = listLow(ground.room, heightM);
      const isFree = old && ![...taken, ...low].some((other) => overlap(old, other));
      const mats = [...taken, ...[...kept.values()].flatMap((one) => floorOf(one, ground) ?? [])];
      const place = (isFree ? before : undefined) ??
        findMat(ground.room, [...everywhere, ...mats], heightM) ??
        findMat(ground.room, taken, heightM) ?? { kind: 'aside' as const };
      here.set(id, place);
      const own = floorOf(place, ground);
      if (own) taken.push(own);
      if (place.kind === 'mat') {
        kept.set(id, place);
        last.set(id, round);
      }
    }
  });
  return places;
}

/** A lane is never counted shallower than this: a body at the wall, metres. */
const leastLaneM = 1.2;

/** How far out from a wall a lane reaches at the most, metres. */
export const deepestLane = (options: readonly PlannedOption[]): number =>
  Math.max(leastLaneM, ...options.map(({ outM }) => outM ?? 0));
