/** Who sits something out, and what they do meanwhile: told to everybody, and never why. */
import type { DrillId, DrillKey } from '../catalog/drills';
import type { PreparedPerson } from './prepared';
import type { TimelineItem } from './timeline';

export interface SitsOut {
  readonly id: string;
  readonly instead: string;
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

type Line = Pick<TimelineItem, 'kind'> & { readonly drill?: DrillKey | undefined };

/** What everybody does in a line of the running order; `null`: not all the same. */
export const doneByAll = ({ kind, drill }: Line): DrillKey | null =>
  kind === 'pause' ? pauseDrill : kind === 'drill' ? (drill ?? null) : null;

/**
 * Who does not do a line of the running order that is done by all.
 *
 * @param isOutAsWell said since the class was judged
 */
export function listSittingOut(
  line: Line,
  people: readonly Pick<PreparedPerson, 'id' | 'closedDrills' | 'fallbacks'>[],
  isOutAsWell: (id: string) => boolean = () => false,
): SitsOut[] {
  const done = doneByAll(line);
  if (done === null) return [];
  return people.flatMap((person) => {
    const hasSaid = isOutAsWell(person.id);
    if (!hasSaid && !person.closedDrills.includes(done)) return [];
    const isQuiet = hasSaid || line.kind === 'pause';
    return [{ id: person.id, instead: isQuiet ? quietestOf(person) : meanwhile(person) }];
  });
}

/** The same in words, by what is done instead. */
export function sayingOut(out: readonly SitsOut[], nameOf: (id: string) => string): string {
  const groups = new Map<string, string[]>();
  for (const { id, instead } of out) {
    groups.set(instead, [...(groups.get(instead) ?? []), nameOf(id)]);
  }
  return [...groups].map(([instead, who]) => `${who.join(', ')}: ${instead}`).join('; ');
}
