/** What is otherwise in one plan than in another, for a teacher who wants to know what a word changed. */
import { inSentence, joinWords } from '../units/words';
import type { PlanFile } from './planFile';

type Plan = Pick<PlanFile, 'rounds' | 'timeline' | 'checks'> & {
  readonly wishes: Pick<PlanFile['wishes'], 'absent'>;
};

/** Everybody whom a plan names. */
const listNamed = ({ rounds, timeline, checks, wishes }: Plan): string[] => [
  ...rounds.flatMap(({ people }) => people.map(({ id }) => id)),
  ...timeline.flatMap(({ sitOut = [] }) => sitOut.map(({ id }) => id)),
  ...checks.flatMap(({ people }) => people.map(({ id }) => id)),
  ...wishes.absent,
];

/** An evening without rounds is of everybody who is not away. */
const isIn = ({ rounds, wishes }: Plan, id: string): boolean =>
  rounds.length === 0
    ? !wishes.absent.includes(id)
    : rounds.some(({ people }) => people.some((one) => one.id === id));

const listRounds = (rounds: readonly number[]) =>
  `round${rounds.length === 1 ? '' : 's'} ${rounds.join(', ')}`;

/** Labels that may have commas of their own. */
const some = (labels: readonly string[]): string =>
  labels.some((label) => label.includes(',')) ? labels.join(' · ') : joinWords(labels);

/** What stands in both orders, as it is called, with what each says of it. */
function listBoth({ timeline: before }: Plan, { timeline: after }: Plan) {
  const lineOf = new Map(before.map((line) => [line.drill ?? line.label, line]));
  const seen = new Set<string>();
  return after.flatMap((now) => {
    const key = now.drill ?? now.label;
    const was = lineOf.get(key);
    // The pause between drills comes several times, with the same people beside it.
    if (was === undefined || seen.has(key)) return [];
    seen.add(key);
    return [{ label: now.label, was: was.sitOut ?? [], now: now.sitOut ?? [] }];
  });
}

/** What somebody newly sits out, and does again, of what stands in both orders. */
function saySitting(before: Plan, after: Plan, id: string): string[] {
  const out = new Map<string, string[]>();
  const again: string[] = [];
  for (const { label, was, now } of listBoth(before, after)) {
    const sat = was.find((one) => one.id === id);
    const sits = now.find((one) => one.id === id);
    if (sits !== undefined && sits.instead !== sat?.instead) {
      out.set(sits.instead, [...(out.get(sits.instead) ?? []), inSentence(label)]);
    }
    if (sat !== undefined && sits === undefined) again.push(inSentence(label));
  }
  return [
    ...[...out].map(([instead, labels]) => `${inSentence(instead)} in place of ${some(labels)}`),
    ...(again.length === 0 ? [] : [`${some(again)} with the others`]),
  ];
}

/** What somebody is no longer looked at for. */
function sayLooks({ checks: before }: Plan, { checks: after }: Plan, id: string): string[] {
  const of = (checks: Plan['checks']) =>
    checks.flatMap(({ label, people }) => (people.some((one) => one.id === id) ? [label] : []));
  const now = of(after);
  const gone = of(before).filter((label) => !now.includes(label));
  return gone.length === 0 ? [] : [`not looked at for ${joinWords(gone.map(inSentence))}`];
}

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
  const ids = [...new Set([...listNamed(before), ...listNamed(after)])];
  const doing = ({ rounds }: Plan, round: number, id: string) =>
    rounds.find((one) => one.round === round)?.people.find((one) => one.id === id);
  const lines = ids.flatMap((id) => {
    const [was, is] = [isIn(before, id), isIn(after, id)];
    if (!was && !is) return [];
    if (was && !is) return [`${nameOf(id)} is left out.`];
    if (!was && is) return [`${nameOf(id)} is in it.`];
    const groups = new Map<string, number[]>();
    for (const { round } of after.rounds) {
      const now = doing(after, round, id);
      if (now === undefined || now.option === doing(before, round, id)?.option) continue;
      const label = now.option === null ? 'not there yet' : now.label;
      groups.set(label, [...(groups.get(label) ?? []), round]);
    }
    const words = [
      ...[...groups].map(([label, rounds]) => `${label} in ${listRounds(rounds)}`),
      ...saySitting(before, after, id),
      ...sayLooks(before, after, id),
    ];
    if (words.length === 0) return [];
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
