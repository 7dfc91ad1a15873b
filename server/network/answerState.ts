/** By what two requests may be given one and the same page: who asks, and what stands in the studio. */
import { countChanges } from '@/db/changes';
import { database, findTrouble } from '../database';
import { today } from '../clock';
import { deskCookie, findAtDesk, noteAtDesk } from '../desk/desk';
import { atDevice, forPages, type Asker } from './asker';
import { findDeviceBy } from './devices';
import { deviceCookie, doorHeader, isFromNetwork } from './doorRules';

interface Asking {
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

function cookieOf({ headers }: Asking, name: string): string | undefined {
  const all = typeof headers.cookie === 'string' ? headers.cookie.split(/;\s*/) : [];
  return all.find((one) => one.startsWith(`${name}=`))?.slice(name.length + 1);
}

function askerOf(asking: Asking): Asker | null {
  const mark = asking.headers[doorHeader];
  if (isFromNetwork(typeof mark === 'string' ? mark : null, process.env.LEVITAR_DOOR_MARK)) {
    const device = findDeviceBy(cookieOf(asking, deviceCookie));
    return device === null ? null : atDevice(device);
  }
  const token = cookieOf(asking, deskCookie);
  const asker = findAtDesk(token);
  if (asker.role === 'nobody' || asker.isLocked) return null;
  // A page that is given again is a sign of life as well.
  noteAtDesk(token);
  return asker;
}

export interface AnswerState {
  /** All of who asks that a page may go by. */
  readonly asker: string;
  readonly studio: string;
}

/**
 * Who asks, and a text that is another one as soon as anything is written anywhere in the studio.
 *
 * @returns null for somebody who was not let in, and while the studio cannot be opened
 */
export function answerState(asking: Asking): AnswerState | null {
  try {
    if (findTrouble() !== null) return null;
    const asker = askerOf(asking);
    if (asker === null) return null;
    const changes = countChanges(database());
    if (changes === null) return null;
    return { asker: JSON.stringify(forPages(asker)), studio: JSON.stringify([changes, today()]) };
  } catch {
    return null;
  }
}
