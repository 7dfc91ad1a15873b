/** What can be done by key, in one table; shown on `?`. None is a browser's or a screen reader's own. */
import { findKey, helpKey } from './keys';
import { lockKey } from './lock';

export interface Shortcut {
  readonly keys: string;
  readonly does: string;
  readonly where: string;
}

/** A key as it is written on a keyboard; `mod` is Ctrl, or ⌘ where there is one. */
export const sayKeys = (keys: string, isMac: boolean): string =>
  keys
    .split('+')
    .map((key) => {
      const name = key.toLowerCase();
      if (name === 'mod') return isMac ? '⌘' : 'Ctrl';
      return key.length === 1 ? key.toUpperCase() : key[0]!.toUpperCase() + key.slice(1);
    })
    .join(' ');

export const shortcuts: readonly Shortcut[] = [
  { keys: findKey, does: 'find a person, a rung or a page', where: 'everywhere' },
  { keys: helpKey, does: 'show these keys', where: 'everywhere' },
  { keys: lockKey, does: 'lock the desk, where it has a passphrase', where: 'everywhere' },
  { keys: 'mod+Z', does: 'take the last step back', where: 'Plan, Room, Plumb' },
  { keys: '[', does: 'the round before', where: 'Plan' },
  { keys: ']', does: 'the next round', where: 'Plan' },
  {
    keys: 'mod+Enter',
    does: 'agree with what is suggested, keep what was changed',
    where: 'Review, Profiles',
  },
  { keys: 'N', does: 'the next person', where: 'Review' },
  {
    keys: 'arrows',
    does: 'move what is held by a pixel or a centimetre; wider with Shift',
    where: 'Plumb, Room, Bench',
  },
  { keys: 'delete', does: 'take a mark away', where: 'Plumb' },
];
