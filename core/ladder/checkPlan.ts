/** The checks of an evening: for a group, within the minutes there are. Source: handbook 06 "What to look at tonight". */
import type { CheckKey, CheckSpec, Scoring } from '../catalog/checks';
import type { CheckDemand } from '../catalog/demand';
import { getCheckIn, type School } from '../catalog/school';
import type { CheckWorth } from './tonight';

export interface GroupPerson {
  readonly id: number;
  readonly ranked: readonly CheckWorth[];
}

/** One line of tonight's list. */
export interface CheckSlot {
  readonly check: CheckKey;
  readonly base?: CheckDemand['base'];
  readonly label: string;
  /** One clock for everyone, or one after the other. */
  readonly isTogether: boolean;
  readonly minutes: number;
  readonly gain: number;
  /** Who it is taken from, most telling first. */
  readonly people: readonly { readonly id: number; readonly gain: number; readonly why: string }[];
}

/** One clock for a group is explained once. */
const settleTogetherMinutes = 1;
const secondsEach = 3;
/** A hold is looked at until the bar is passed and a little more. */
const beyondBar = 1.35;

/** Getting ready and looking, where a teacher's own check does not say. */
function usualMinutes({ kind }: Scoring): number {
  switch (kind) {
    case 'hold':
    case 'reps':
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
    case 'rating':
      return 0.4;
    case 'measure':
    case 'level':
      return 0.8;
  }
}

/** Minutes that are held or counted. */
function workMinutes({ scoring, hasSides }: CheckSpec, bar: number): number {
  switch (scoring.kind) {
    case 'hold':
      return ((hasSides ? 2 : 1) * beyondBar * bar) / 60;
    case 'reps':
      return (bar * secondsEach) / 60;
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
    case 'rating':
    case 'measure':
    case 'level':
      return 0;
  }
}

function minutesOf(school: School, check: CheckKey): { together: number; each: number } {
  const { spec, bar } = getCheckIn(school, check);
  const work = workMinutes(spec, bar);
  return {
    together: spec.timedTogether ? settleTogetherMinutes + work : Infinity,
    each: (spec.minutes ?? usualMinutes(spec.scoring)) + work,
  };
}

/**
 * The best checks for a group inside the minutes there are: a hold that one clock serves counts
 * once for everyone it helps; what must be seen one by one takes its minutes for each person.
 * Greedy by gain for the minute, which is within one slot of the best.
 *
 * @param isForAll what answers something for whoever has no answer yet comes first
 */
export function planChecks(
  school: School,
  group: readonly GroupPerson[],
  minutes: number,
  isForAll = false,
): { readonly slots: readonly CheckSlot[]; readonly minutesUsed: number } {
  const byCheck = new Map<
    string,
    { worth: CheckWorth; people: { id: number; gain: number; why: string }[] }
  >();
  for (const { id, ranked } of group) {
    for (const worth of ranked) {
      const key = `${worth.check}/${worth.base ?? ''}`;
      const known = byCheck.get(key) ?? { worth, people: [] };
      known.people.push({ id, gain: worth.gain, why: worth.why });
      byCheck.set(key, known);
    }
  }
  interface Candidate {
    readonly worth: CheckWorth;
    readonly people: { id: number; gain: number; why: string }[];
    readonly minutes: number;
    readonly isTogether: boolean;
  }
  const candidates: Candidate[] = [];
  for (const { worth, people } of byCheck.values()) {
    people.sort((a, b) => b.gain - a.gain || a.id - b.id);
    const { spec } = getCheckIn(school, worth.check);
    const cost = minutesOf(school, worth.check);
    if (spec.timedTogether && people.length > 1) {
      candidates.push({ worth, people, minutes: cost.together, isTogether: true });
    } else {
      for (const person of people) {
        candidates.push({ worth, people: [person], minutes: cost.each, isTogether: false });
      }
    }
  }
  const total = (c: Candidate) => c.people.reduce((sum, { gain }) => sum + gain, 0);
  candidates.sort((a, b) => total(b) / b.minutes - total(a) / a.minutes || a.minutes - b.minutes);
  const slots = new Map<string, CheckSlot>();
  let used = 0;
  const seen = new Set<number>();
  const left = [...candidates];
  const take = (): Candidate | undefined => {
    const fits = left.filter((one) => used + one.minutes <= minutes + 1e-9);
    const more = (one: Candidate) => one.people.filter(({ id }) => !seen.has(id)).length;
    const [first] = isForAll
      ? [...fits].sort((a, b) => more(b) / b.minutes - more(a) / a.minutes)
      : fits;
    const next = first !== undefined && (!isForAll || more(first) > 0) ? first : fits[0];
    if (next !== undefined) left.splice(left.indexOf(next), 1);
    return next;
  };
  for (let candidate = take(); candidate !== undefined; candidate = take()) {
    used += candidate.minutes;
    candidate.people.forEach(({ id }) => seen.add(id));
    const { worth, people, isTogether } = candidate;
    const key = `${worth.check}/${worth.base ?? ''}`;
    const known = slots.get(key);
    slots.set(key, {
      check: worth.check,
      ...(worth.base === undefined ? {} : { base: worth.base }),
      label: worth.label,
      isTogether,
      minutes: (known?.minutes ?? 0) + candidate.minutes,
      gain: (known?.gain ?? 0) + total(candidate),
      people: [...(known?.people ?? []), ...people],
    });
  }
  return {
    slots: [...slots.values()].sort((a, b) => b.gain - a.gain),
    minutesUsed: used,
  };
}
