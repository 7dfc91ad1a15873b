/**
 * What there is now that a plan did not know of: more in the cupboard, a larger room, rungs that have
 * opened. The plan stands all the same, since it can be done; it may be bettered.
 */
import type { PieceCount } from '../catalog/pieces';
import type { PlanFile } from '../files/planFile';
import { rowLabel } from '../pieces/rows';
import { usableSpans } from '../room/room';
import { entriesOf } from '../units/keyed';
import { joinWords } from '../units/words';
import type { PreparedClass } from './prepared';

type RestsOn = NonNullable<PlanFile['restsOn']>;

/** So many are named; of the others it is said that there are some. */
const mostNamed = 4;
/** Less than this is no more wall, metres, and no more floor, square metres. */
const least = { wallM: 0.05, floorM2: 0.05 } as const;

/** How many there are of each piece. */
function countPieces(pieces: readonly PieceCount[]): RestsOn['cupboard'] {
  const counts: RestsOn['cupboard'] = {};
  for (const { piece, count } of pieces) counts[piece] = (counts[piece] ?? 0) + count;
  return counts;
}

const namesOf = (pieces: readonly PieceCount[]) =>
  new Map<string, string>(
    pieces.flatMap(({ piece, own }) => (own === undefined ? [] : [[piece, own.label] as const])),
  );

const stagesOf = ({ options }: PreparedClass['people'][number]) => [
  ...new Set(options.flatMap(({ stage }) => stage ?? [])),
];

/** What a plan of this class rests on, as it is written down beside it. */
export function restsOn({ pieces, room, people }: PreparedClass): RestsOn {
  return {
    cupboard: countPieces(pieces),
    wallM: usableSpans(room).reduce((sum, { fromM, toM }) => sum + toM - fromM, 0),
    floorM2: room.widthM * room.depthM,
    open: people.map((person) => ({ id: person.id, stages: stagesOf(person) })),
  };
}

const some = (words: readonly string[]): string =>
  words.length > mostNamed
    ? joinWords([...words.slice(0, mostNamed), 'more'])
    : joinWords([...words]);

/** Rungs that are open now and were not, with those to whom. */
function listOpened(
  before: RestsOn,
  { people }: PreparedClass,
  nameOf: (id: string) => string,
): string[] {
  const opened = new Map<string, { label: string; who: string[] }>();
  const wereOpen = new Map(before.open.map(({ id, stages }) => [id, stages]));
  const known = people.filter(({ id }) => wereOpen.has(id));
  for (const { id, options } of known) {
    const was = new Set<string>(wereOpen.get(id));
    for (const { stage, label } of options) {
      if (stage === undefined || was.has(stage)) continue;
      was.add(stage);
      const one = opened.get(stage) ?? { label, who: [] };
      one.who.push(nameOf(id));
      opened.set(stage, one);
    }
  }
  return [...opened.values()].map(({ label, who }) => {
    const all = who.length === known.length && who.length > 1;
    return `${label} (${all ? 'everybody' : who.length > mostNamed ? `${who.length} people` : who.join(', ')})`;
  });
}

/**
 * What has come since a plan was made, in words; none: nothing, or the plan is of before it was
 * written down.
 *
 * @param nameOf what people are called
 */
export function listGained(
  { restsOn: before }: PlanFile,
  prepared: PreparedClass,
  nameOf: (id: string) => string,
): string[] {
  if (before === undefined) return [];
  const now = restsOn(prepared);
  const names = namesOf(prepared.pieces);
  const more = entriesOf(now.cupboard).flatMap(([piece, count]) => {
    const added = count - (before.cupboard[piece] ?? 0);
    return added > 0 ? [rowLabel(piece, added, names.get(piece))] : [];
  });
  const opened = listOpened(before, prepared, nameOf);
  return [
    ...(more.length === 0 ? [] : [`the cupboard has more: ${some(more)}`]),
    ...(now.wallM > before.wallM + least.wallM ? ['there is more wall'] : []),
    ...(now.floorM2 > before.floorM2 + least.floorM2 ? ['the room is larger'] : []),
    ...(opened.length === 0 ? [] : [`newly open: ${some(opened)}`]),
  ];
}
