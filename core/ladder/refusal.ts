/** What is refused to somebody, and what would open it, in words that name no condition. */
import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import type { StageKey } from '../catalog/stage';
import { inSentence } from '../units/words';

export interface Refusal {
  readonly stage: StageKey;
  readonly what: string;
  /** What would open it, in words that name no condition. */
  readonly opensWith: Key;
  /** What its gate would still ask for then. */
  readonly then: readonly string[];
}

/** What opens something that is closed. */
export interface Key {
  /** A clinician's word that covers these. */
  readonly word?: readonly CautionColumn[];
  /** The note, at a later class, that what hurt is gone. */
  readonly gone?: true;
  /** Another day will do. */
  readonly later?: true;
  /** Nothing while it is new to them: what is long practised stays open. */
  readonly practised?: true;
  /** These checks, seen again. */
  readonly seen?: string;
}

/** Several keys said as one: what has to be noted, once each. */
function keyWords(keys: readonly Key[]): string {
  const columns = [...new Set(keys.flatMap(({ word = [] }) => word))];
  const seen = [...new Set(keys.flatMap((key) => key.seen ?? []))];
  const has = (is: (key: Key) => boolean) => keys.some(is);
  return [
    ...(columns.length === 0
      ? []
      : [`a clinician’s word on ${columns.map((one) => cautionColumns[one]).join(', ')}`]),
    ...(has(({ gone }) => gone === true) ? ['the note that it is gone, at a later class'] : []),
    ...seen.map((whose) => `${whose}, seen again`),
    ...(has(({ later }) => later === true) ? ['another day'] : []),
    ...(has(({ practised }) => practised === true)
      ? ['nothing while it is new; what is long practised stays open']
      : []),
  ].join('; ');
}

/** One line: `not tonight: A, B; instead: C; would open with: D, then E`. */
export function refusalWords(refused: readonly Refusal[], instead: string): string {
  const opens = keyWords(refused.map(({ opensWith }) => opensWith));
  const then = [...new Set(refused.flatMap((one) => one.then.map(inSentence)))].join(', ');
  const what = refused.map((one) => one.what).join(', ');
  return `not tonight: ${what}; instead: ${instead}; would open with: ${opens}${then === '' ? '' : `, then ${then}`}`;
}
