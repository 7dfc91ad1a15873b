/** Composing's slow halves, done again only when something that they rest on has changed. */
import { composeClass } from '@/core/compose/composeClass';
import {
  prepareClass,
  type ClassInput,
  type PreparedClass,
  type Wishes,
} from '@/core/compose/prepared';
import { usualSolve } from '@/core/compose/solve';
import { toPlanFile, type PlanFile } from '@/core/files/planFile';
import { rememberFor } from '@/core/units/remember';

interface Kept {
  readonly input: ClassInput;
  readonly words: string;
  readonly prepared: PreparedClass;
}

// A few evenings at most are looked at by turns; the newest first.
let kept: readonly Kept[] = [];
const mostKept = 6;

/** Cases are the same objects for as long as nothing about the person, the day or the school changed. */
const isSame = (one: ClassInput, other: ClassInput) =>
  one.school === other.school &&
  one.people.length === other.people.length &&
  one.people.every(({ id, opened }, index) => {
    const second = other.people[index]!;
    return id === second.id && opened === second.opened;
  });

/** Everything but the people and the school. */
const wordsOf = ({ people: _, school: __, ...rest }: ClassInput) => JSON.stringify(rest);

/** `prepareClass`, the same object again while nothing changed. */
export function prepareOnce(input: ClassInput): PreparedClass {
  const words = wordsOf(input);
  const known = kept.find((one) => one.words === words && isSame(one.input, input));
  if (known !== undefined) return known.prepared;
  const prepared = prepareClass(input);
  kept = [{ input, words, prepared }, ...kept].slice(0, mostKept);
  return prepared;
}

const quickPlans = rememberFor<PreparedClass, PlanFile>();

/** The quick plan of what is prepared, worked out once for the same wishes. */
export const composeOnce = (prepared: PreparedClass, wishes: Wishes): PlanFile =>
  quickPlans(prepared, JSON.stringify(wishes), () =>
    toPlanFile(
      composeClass(null, prepared, wishes, { ...usualSolve, seed: wishes.seed }),
      prepared,
      wishes,
      { binding: [], relief: null },
    ),
  );

/** Drops the classes that were prepared. */
export function forgetPrepared(): void {
  kept = [];
}
