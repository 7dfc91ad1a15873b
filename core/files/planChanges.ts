/** What is otherwise in one plan than in another, for a teacher who wants to know what a word changed. */
import type { PlanFile } from './planFile';

type Plan = Pick<PlanFile, 'rounds' | 'timeline'>;

const listRounds = (rounds: readonly number[]) =>
  `round${rounds.length === 1 ? '' : 's'} ${rounds.join(', ')}`;

/**
 * Sentences, person by person, then the running order; none: nothing changes. Never why.
 *
 * @param nameOf how somebody is called
 */
export function sayPlanChanges(
  before: Plan,
  after: Plan,
  nameOf: (id: string) => string,
): string[] {
  const ids = [
    ...new Set(
      [...before.rounds, ...after.rounds].flatMap(({ people }) => people.map(({ id }) => id)),
    ),
  ];
  const doing = ({ rounds }: Plan, round: number, id: string) =>
    rounds.find((one) => one.round === round)?.people.find((one) => one.id === id);
  const lines = ids.flatMap((id) => {
    const was = before.rounds.some(({ people }) => people.some((one) => one.id === id));
    const is = after.rounds.some(({ people }) => people.some((one) => one.id === id));
    if (was && !is) return [`${nameOf(id)} is left out.`];
    if (!was && is) return [`${nameOf(id)} is in it.`];
    const groups = new Map<string, number[]>();
    for (const { round } of after.rounds) {
      const now = doing(after, round, id);
      if (now === undefined || now.option === doing(before, round, id)?.option) continue;
      const label = now.option === null ? 'not there yet' : now.label;
      groups.set(label, [...(groups.get(label) ?? []), round]);
    }
    if (groups.size === 0) return [];
    const words = [...groups].map(([label, rounds]) => `${label} in ${listRounds(rounds)}`);
    return [`${nameOf(id)}: ${words.join('; ')}.`];
  });
  const drills = ({ timeline }: Plan) =>
    timeline.flatMap(({ kind, label }) => (kind === 'drill' ? [label] : []));
  const out = drills(before).filter((label) => !drills(after).includes(label));
  const come = drills(after).filter((label) => !drills(before).includes(label));
  return [
    ...lines,
    ...(out.length === 0 ? [] : [`No longer in the order: ${out.join(', ')}.`]),
    ...(come.length === 0 ? [] : [`New in the order: ${come.join(', ')}.`]),
  ];
}
