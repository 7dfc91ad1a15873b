/**
 * What an assistant's device is sent: set-ups, places, who is asked before hands are laid on, and
 * nothing that says why. Source: handbook 07 "Touch": assistants see set-ups and consent, not
 * health notes.
 */
import type { PlanFile } from '../cli/planFile';
import type { PreparedClass } from '../compose/prepared';
import type { FloorAct, Tap } from './tap';

export type FloorRole = 'teacher' | 'assistant';

/** What an assistant may say. Ending a class, its plan and the door are the teacher's. */
const assistantKinds: readonly FloorAct['kind'][] = [
  'anchor',
  'hold-start',
  'hold-down',
  'hold-fault',
  'hold-stop',
  'try',
  'seen',
  'assist',
  'halt',
  'sign',
  'sore',
  'undo',
];

/** Is this tap the role's to make? An assistant takes back only what they tapped themselves. */
export function mayTap(role: FloorRole, { device, act }: Tap): boolean {
  if (role === 'teacher') return true;
  if (act.kind === 'undo') return act.tap.startsWith(`${device}.`);
  return assistantKinds.includes(act.kind);
}

/** A name for a check of the day that does not say what it is about. */
export type Hide = (checkOrLabel: string) => string;

/** Numbers the checks of the day: that one is confirmed is an assistant's to know, not which. */
export function hideChecks(
  checks: readonly { readonly check: string; readonly label: string }[],
): Hide {
  const names = new Map(
    checks.flatMap(({ check, label }, index) => {
      const name = `ask the teacher ${index + 1}`;
      return [
        [check, name],
        [label, name],
      ] as const;
    }),
  );
  return (text) => names.get(text) ?? 'ask the teacher';
}

/** The plan with where and what, without why. */
export function planForAssistant(plan: PlanFile, hide: Hide): PlanFile {
  return {
    ...plan,
    wishes: { ...plan.wishes, sore: [], pins: [] },
    checks: plan.checks.map((check) => ({
      ...check,
      people: check.people.map(({ id }) => ({ id, why: '' })),
    })),
    rounds: plan.rounds.map((round) => ({
      ...round,
      people: round.people.map((one) => ({
        ...one,
        role: '',
        why: '',
        // That something is confirmed first, not what.
        confirmAtDoor: one.confirmAtDoor.map(hide),
      })),
    })),
    pins: [],
    notes: [],
    relief: null,
    binding: [],
  };
}

export function preparedForAssistant(prepared: PreparedClass): PreparedClass {
  const plain = <T extends { why: string; atDoor: readonly string[] }>(option: T): T => ({
    ...option,
    role: 'present',
    why: '',
    atDoor: [],
  });
  return {
    ...prepared,
    checks: prepared.checks.map((check) => ({
      ...check,
      people: check.people.map(({ id }) => ({ id, why: '' })),
    })),
    people: prepared.people.map((person) => ({
      ...person,
      options: person.options.map(plain),
      fallbacks: person.fallbacks.map(plain),
      ...(person.gone === undefined ? {} : { gone: person.gone.map(plain) }),
      shut: [],
      weak: [],
      closedDrills: [],
      capacities: {},
    })),
  };
}

/**
 * Somebody else's tap as an assistant's device gets it; `null`: not theirs to know. That somebody
 * was stopped is; the reason is not.
 */
export function tapForAssistant(tap: Tap, hide: Hide): Tap | null {
  const { act } = tap;
  switch (act.kind) {
    case 'sign':
    case 'sore':
      return { ...tap, act: { kind: 'halt', person: act.person } };
    case 'plan':
      return { ...tap, act: { kind: 'plan', plan: planForAssistant(act.plan, hide) } };
    case 'seen':
      return { ...tap, act: { ...act, faults: [] } };
    case 'door':
      return { ...tap, act: { ...act, check: hide(act.check) } };
    case 'hold-fault':
      return null;
    default:
      return tap;
  }
}
