/** What somebody does not do tonight, in the words of the plan: for the teacher alone. */
import { refusalWords } from '../ladder/refusal';
import type { PreparedPerson } from './prepared';
import { insteadOf } from './sittingOut';

type Told = Pick<PreparedPerson, 'fallbacks' | 'refused'>;

/**
 * `not tonight: A, B; instead: C; would open with: D`; `null` where nothing is refused.
 *
 * @param planned what the plan gives them
 */
export const sayingRefused = (person: Told, planned: readonly string[] = []): string | null =>
  person.refused === undefined || person.refused.length === 0
    ? null
    : refusalWords(
        person.refused,
        planned.length === 0 ? insteadOf(person) : [...new Set(planned)].join(', '),
      );
