/** Who sits something out, and what they do meanwhile: told to everybody, and never why. */
import type { DrillId, DrillKey } from '../catalog/drills';
import type { LadderId } from '../catalog/stage';
import type { PreparedPerson } from './prepared';
import type { TimelineItem } from './timeline';

export interface SitsOut {
  readonly id: string;
  readonly instead: string;
  /** Only where the first questions are not asked at the door, or name something. */
  readonly unlessAsked?: true;
}

/** What somebody does where something is closed to them, in words. */
export const insteadOf = ({ fallbacks }: Pick<PreparedPerson, 'fallbacks'>): string =>
  fallbacks.find(({ isRest }) => !isRest)?.label ?? 'Rest';

type Offered = Pick<PreparedPerson, 'fallbacks'>;

/** Where they are, without wall or pieces, the quietest last. */
const bareOf = ({ fallbacks }: Offered) =>
  fallbacks.filter(
    ({ props, alongM, isRest }) => props.length === 0 && alongM === undefined && !isRest,
  );

/** The quietest there is: loads nothing, for a pause and for who has just said that something hurts. */
export const quietestOf = (person: Offered): string => bareOf(person).at(-1)?.label ?? 'Rest';

/** The same for a drill of a minute or two: something where they are. */
const meanwhile = (person: Offered): string => bareOf(person)[0]?.label ?? insteadOf(person);

/** The pause between drills is a child's pose: head below the heart as well. */
const pauseDrill: DrillId = 'childs-pose';

export type Line = Pick<TimelineItem, 'kind'> & {
  readonly drill?: DrillKey | undefined;
  readonly family?: LadderId | undefined;
  /** Who does something of their own there, as their rung says. */
  readonly own?: readonly SitsOut[] | undefined;
};

/** What everybody does in a line of the running order; `null`: not all the same. */
export function doneByAll({ kind, drill }: Line): DrillKey | null {
  switch (kind) {
    case 'pause':
      return pauseDrill;
    case 'drill':
    case 'release':
      return drill ?? null;
    // Counterposes are asked for by their family, rounds and checks person by person.
    case 'arrive':
    case 'checks':
    case 'settle':
    case 'round':
    case 'reset':
    case 'counter':
    case 'rest':
      return null;
    default:
      return kind satisfies never;
  }
}

/** What carries no pass is told to nobody; classes begun before passes go by what was closed. */
const isLetInto = (
  { closedDrills, drillPasses }: Pick<PreparedPerson, 'closedDrills' | 'drillPasses'>,
  drill: DrillKey,
): boolean =>
  !closedDrills.includes(drill) && (drillPasses === undefined || drillPasses[drill] !== undefined);

/**
 * Who does not do a line of the running order that is done by all, or does something of their own.
 *
 * @param isOutAsWell said since the class was judged
 * @param answerOf whether nothing was named when somebody was asked the first questions tonight;
 *   `undefined`: not asked yet
 */
export function listSittingOut(
  line: Line,
  people: readonly Pick<
    PreparedPerson,
    'id' | 'closedDrills' | 'drillPasses' | 'closedCounters' | 'askedCounters' | 'fallbacks'
  >[],
  isOutAsWell: (id: string) => boolean = () => false,
  answerOf: (id: string) => boolean | undefined = () => undefined,
): SitsOut[] {
  const done = doneByAll(line);
  const { family, kind } = line;
  const after = kind === 'counter' ? family : undefined;
  if (done === null && after === undefined) return [];
  return people.flatMap((person) => {
    const hasSaid = isOutAsWell(person.id);
    const isAsked = after !== undefined && person.askedCounters?.includes(after) === true;
    const answer = isAsked ? answerOf(person.id) : undefined;
    const isClosed =
      (done !== null && !isLetInto(person, done)) ||
      (after !== undefined && person.closedCounters?.includes(after) === true && answer !== true);
    if (!hasSaid && !isClosed) return (line.own ?? []).filter(({ id }) => id === person.id);
    const isQuiet = hasSaid || kind === 'pause' || kind === 'release' || after !== undefined;
    const instead = isQuiet ? quietestOf(person) : meanwhile(person);
    const mayStill = isAsked && !hasSaid && answer === undefined;
    return [{ id: person.id, instead, ...(mayStill ? { unlessAsked: true } : {}) }];
  });
}

/** The same in words, by what is done instead. */
export function sayingOut(out: readonly SitsOut[], nameOf: (id: string) => string): string {
  const groups = new Map<string, string[]>();
  for (const { id, instead, unlessAsked } of out) {
    const what = unlessAsked ? `${instead}, unless confirmed at the door` : instead;
    groups.set(what, [...(groups.get(what) ?? []), nameOf(id)]);
  }
  return [...groups].map(([what, who]) => `${who.join(', ')}: ${what}`).join('; ');
}

/** What to do differently in a line of the running order, in words; empty where nothing is. */
export function caresIn(
  line: Line,
  { cares = [] }: Pick<PreparedPerson, 'cares'>,
): readonly string[] {
  const done = doneByAll(line);
  const after = line.kind === 'counter' ? line.family : undefined;
  return cares.flatMap((care) =>
    (done !== null && care.drill === done) || (after !== undefined && care.after === after)
      ? care.words
      : [],
  );
}

/** Who does a line with care, and how: for the teacher alone. */
export function sayingCares(
  line: Line,
  people: readonly (Pick<PreparedPerson, 'cares'> & Parameters<typeof listSittingOut>[1][number])[],
  nameOf: (id: string) => string,
  answerOf?: (id: string) => boolean | undefined,
): string {
  const out = new Set(listSittingOut(line, people, undefined, answerOf).map(({ id }) => id));
  return people
    .filter(({ id }) => !out.has(id))
    .flatMap((person) => {
      const words = caresIn(line, person);
      return words.length === 0 ? [] : [`${nameOf(person.id)}: ${words.join(', ')}`];
    })
    .join('; ');
}
