/** Short words for the floor: what was tapped last, how long something took. */
import { painPlaceTable, stopSignTable } from '@/core/catalog/regions';
import type { FloorAct } from '@/core/running/tap';

/** `7.4` under a minute, `1:07` over it. */
export function clockWords(seconds: number): string {
  if (seconds < 60) return seconds.toFixed(1);
  const whole = Math.floor(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** `3:05` left; over time `-0:40`. */
export function leftWords(seconds: number): string {
  const whole = Math.ceil(Math.abs(seconds));
  const text = `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
  return seconds < 0 ? `+${text}` : text;
}

type NameOf = (person: string) => string;

/** What the last tap said, for the button that takes it back. */
export function actWords(act: FloorAct, nameOf: NameOf): string {
  switch (act.kind) {
    case 'anchor':
    case 'undo':
      return '';
    case 'segment':
      return 'the step in the running order';
    case 'hold-start':
      return 'the clock started';
    case 'hold-down':
      return `${nameOf(act.person)} down`;
    case 'hold-fault':
      return `a fault, ${nameOf(act.person)}`;
    case 'hold-stop':
      return 'the clock stopped';
    case 'hold-settle':
      return 'your word on a time';
    case 'try':
      return `${act.what}, ${nameOf(act.person)}`;
    case 'seen':
      return `a check, ${nameOf(act.person)}`;
    case 'door':
      return `at the door, ${nameOf(act.person)}`;
    case 'assist':
      return `helped ${nameOf(act.person)}`;
    case 'sign':
    case 'sore':
    case 'halt':
      return `stopped ${nameOf(act.person)}`;
    case 'absent':
      return `${nameOf(act.person)} ${act.isAbsent ? 'away' : 'here'}`;
    case 'late':
      return `${nameOf(act.person)} late`;
    case 'feet-down':
      return `${nameOf(act.person)}: feet ${act.isDown ? 'down' : 'as planned'}`;
    case 'plan':
      return 'the new plan';
    case 'end':
      return 'the end of the class';
  }
}

export const signChoices = Object.entries(stopSignTable).map(([value, { label }]) => ({
  value: value as keyof typeof stopSignTable,
  label,
}));

export const placeChoices = Object.entries(painPlaceTable).map(([value, { label }]) => ({
  value: value as keyof typeof painPlaceTable,
  label,
}));
