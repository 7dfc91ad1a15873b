/**
 * What an assistant's device may say and is sent: set-ups, places, who is asked before hands are laid
 * on, and nothing that says why. Source: handbook 07 "Touch": assistants see set-ups and consent, not
 * health notes.
 */
import { soreBeforeKey } from '../catalog/hiddenCheck';
import { planForAssistant } from './assistantPlan';
import type { Hide } from './hide';
import type { FloorAct, Tap } from './tap';
import { isFrom } from './taps';

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
  if (act.kind === 'undo') return isFrom(device, act.tap);
  return assistantKinds.includes(act.kind);
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
      if (hide.isPrivate(act.check)) return null;
      return { ...tap, act: { ...act, faults: [] } };
    case 'door':
      // It locks nothing by itself: what follows from it comes with the plan.
      if (act.check === soreBeforeKey) return null;
      return { ...tap, act: { ...act, check: hide(act.check) } };
    case 'hold-fault':
      return null;
    // That there was a try, not what was seen of it.
    case 'try': {
      const { faults: _, ...rest } = act;
      return { ...tap, act: rest };
    }
    case 'hold-start':
      // That the clock runs, not what for.
      return act.check !== null && hide.isPrivate(act.check)
        ? { ...tap, act: { ...act, check: null } }
        : tap;
    // What is tapped in front of everybody; a new kind stays here until it is let out by name.
    case 'anchor':
    case 'segment':
    case 'hold-down':
    case 'hold-stop':
    case 'hold-settle':
    case 'assist':
    case 'halt':
    case 'absent':
    case 'late':
    case 'feet-down':
    case 'end':
    case 'undo':
      return tap;
    default:
      return act satisfies never;
  }
}
