/** What the parts of a profile's editor are about, and how each of them changes the copy. */
import type { CheckKey } from '@/core/catalog/checks';
import type { Demand } from '@/core/catalog/demand';
import type { ProfileChanges } from '@/core/catalog/school';
import type { LadderId, StageKey } from '@/core/catalog/stage';

export interface EditorCheck {
  readonly key: CheckKey;
  readonly label: string;
  readonly bar: number;
  readonly origin: number;
  /** A length is in centimetres here. */
  readonly unit: string;
  readonly isLength: boolean;
  readonly byBase: boolean;
}

export type EditorChecks = readonly EditorCheck[];

export interface EditorStage {
  readonly key: StageKey;
  readonly label: string;
  readonly gate: readonly Demand[];
  readonly originGate: readonly Demand[];
  readonly cue: string;
  readonly branch: string | null;
}

export interface EditorLadder {
  readonly family: LadderId;
  readonly label: string;
  readonly stages: readonly EditorStage[];
}

export type EditorStages = readonly EditorLadder[];

/** Makes the copy's changes from those before: the same function at every drawing of the page. */
export type ChangeCopy = (make: (before: ProfileChanges) => ProfileChanges) => void;

interface Copy {
  readonly label: string;
  readonly changes: ProfileChanges;
}

/** Sorted by name at every depth: in which order something was typed says nothing. */
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, part]) => part !== undefined)
            .sort(([one], [other]) => (one < other ? -1 : 1))
            .map(([key, part]) => [key, sorted(part)]),
        )
      : value;

/** Whether two copies have the same name and change the same. */
export const isSameCopy = (one: Copy, other: Copy): boolean =>
  one.label.trim() === other.label.trim() &&
  JSON.stringify(sorted(one.changes)) === JSON.stringify(sorted(other.changes));

/** The changes with one part set anew; a part with nothing in it is none, but for closed branches. */
export function withPart<Key extends keyof ProfileChanges>(
  changes: ProfileChanges,
  key: Key,
  part: ProfileChanges[Key],
): ProfileChanges {
  const next = { ...changes, [key]: part };
  if (typeof part === 'object' && Object.keys(part).length === 0 && key !== 'closedBranches') {
    delete next[key];
  }
  return next;
}

/** A bar of the copy; one like the origin's is no change. */
export function withBar(
  changes: ProfileChanges,
  check: CheckKey,
  origin: number,
  bar: number,
): ProfileChanges {
  const bars = { ...changes.bars };
  if (!(bar > 0) || bar === origin) delete bars[check];
  else bars[check] = bar;
  return withPart(changes, 'bars', bars);
}

/** What one stage asks for in the copy; `null`: as in the origin. */
export function withGate(
  changes: ProfileChanges,
  stage: StageKey,
  gate: readonly Demand[] | null,
): ProfileChanges {
  const gates = { ...changes.gates };
  if (gate === null) delete gates[stage];
  else gates[stage] = gate;
  return withPart(changes, 'gates', gates);
}

export function withClosedStage(
  changes: ProfileChanges,
  stage: StageKey,
  isClosed: boolean,
): ProfileChanges {
  const rest = (changes.closedStages ?? []).filter((one) => one !== stage);
  return withPart(changes, 'closedStages', isClosed ? [...rest, stage] : rest);
}
