/** What is asked before something is done tonight, and where. Source: handbook 06, 07. */
import { screeningKey, soreBeforeKey, type askedAside } from '../catalog/hiddenCheck';
import type { CheckKey, CheckSpec } from '../catalog/checks';

/** Something to ask one person, answered with a tap. */
export interface DoorQuestion {
  /** The check that the answer is a record of, or what it is kept as. */
  readonly key: CheckKey | (typeof askedAside)[number];
  readonly label: string;
  readonly question: string;
  /** On arriving, or in the middle of the shape that is done until then. */
  readonly askedIn: 'the-door' | 'the-hold';
  /** What is answered, where that is not “fine” and “no”. */
  readonly answers?: { readonly yes: string; readonly no: string };
}

/** Asked of whoever was never asked: no answer, no inversion. Its key is no check's. */
export const screeningQuestion: DoorQuestion = {
  key: screeningKey,
  label: 'First questions',
  question:
    'Asked once, aside: is there anything to be careful with? Fine means nothing was named.',
  askedIn: 'the-door',
};

/** Asked of whoever was sore before today: until it is said to be gone, what loads it stays closed. */
export const soreQuestion: DoorQuestion = {
  key: soreBeforeKey,
  label: 'How is it today?',
  question: 'Asked aside: is what hurt before gone? Until it is, what loads it stays closed.',
  askedIn: 'the-door',
  answers: { yes: 'gone', no: 'not yet' },
};

/** The question of a check of the day; `null`: it is none. */
export function questionOf(
  key: CheckKey,
  { label, scoring, method, askedIn }: CheckSpec & { readonly method?: string },
): DoorQuestion | null {
  if (scoring.kind !== 'same-day') return null;
  return { key, label, question: method ?? label, askedIn: askedIn ?? 'the-door' };
}
