/** One exchange with the server: what waits here goes there, what the others tapped comes back. */
import { nextDelivery, stillWaiting } from '@/core/running/queue';
import type { Tap } from '@/core/running/tap';
import { noteApart, noteDelivered, readMeta, readTaps, takeNewName } from './store';

export interface Exchange {
  /** The server's clock half-way through, and how long the answer took. */
  readonly serverMs: number;
  readonly roundTripMs: number;
  /** The monotonic clock half-way through. */
  readonly monoMs: number;
  readonly heard: boolean;
  /** Of what the class goes by, on the server. */
  readonly revision: number;
}

/** Why there was no exchange. */
export class NotHeard extends Error {
  constructor(
    readonly kind: 'offline' | 'gone' | 'full' | 'out' | 'refused' | 'apart' | 'unreadable',
    message: string,
  ) {
    super(message);
    this.name = 'NotHeard';
  }
}

const patienceMs = 8000;

export const waitingOf = (taps: readonly Tap[], device: string, upTo: number): Tap[] =>
  stillWaiting(
    taps.filter((one) => one.device === device),
    upTo,
  );

interface Answer {
  readonly upTo: number;
  readonly after: number;
  readonly taps: readonly Tap[];
  readonly serverMs: number;
  readonly revision: number;
  readonly era: string;
}

interface Apart {
  readonly upTo: number;
  readonly differs: readonly number[];
  readonly era: string;
}

/** @throws NotHeard where the server was not reached, or did not keep it */
export async function exchange(uid: string, device: string): Promise<Exchange> {
  const [meta, taps] = await Promise.all([readMeta(uid), readTaps(uid)]);
  const delivery = nextDelivery(waitingOf(taps, device, meta.upTo));
  const began = performance.now();
  let response: Response;
  try {
    response = await fetch(`/floor/${uid}/taps`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        device,
        after: meta.after,
        taps: delivery,
        fromStart: meta.after === 0,
      }),
      signal: AbortSignal.timeout(patienceMs),
      cache: 'no-store',
    });
  } catch {
    throw new NotHeard('offline', 'No connection. Every tap is kept on this device.');
  }
  const ended = performance.now();
  if (response.status === 409) {
    await noteApart(uid, device, (await response.json()) as Apart);
    throw new NotHeard(
      'apart',
      'Agreeing anew with the studio’s computer. Every tap is kept here.',
    );
  }
  if (response.status === 403 && (await isOthersName(response))) {
    await takeNewName(device);
    throw new NotHeard('apart', 'This device goes by a new name from here on.');
  }
  if (!response.ok) throw refusal(response.status);
  const answer = (await response.json()) as Answer;
  await noteDelivered(uid, answer);
  return {
    serverMs: answer.serverMs,
    roundTripMs: ended - began,
    monoMs: (began + ended) / 2,
    heard: answer.taps.length > 0 || delivery.length > 0,
    revision: answer.revision,
  };
}

const isOthersName = (response: Response): Promise<boolean> =>
  response
    .json()
    .then((answer) => (answer as { reason?: unknown }).reason === 'not-yours')
    .catch(() => false);

function refusal(status: number): NotHeard {
  if (status === 404) return new NotHeard('gone', 'The studio no longer has this class.');
  if (status === 507) {
    return new NotHeard(
      'full',
      'The disk of the studio’s computer is full: nothing new is kept there. Every tap is kept on this device until there is room.',
    );
  }
  if (status === 401) {
    return new NotHeard('out', 'This device is no longer let in. Its taps are kept on it.');
  }
  if (status === 403) {
    return new NotHeard(
      'refused',
      'The studio’s computer takes these taps from another device only. They are kept on this one.',
    );
  }
  if (status === 400 || status === 413) {
    return new NotHeard(
      'unreadable',
      'The studio’s computer could not read the last delivery. Every tap is kept here; load the page anew.',
    );
  }
  return new NotHeard('offline', 'The studio’s computer did not answer. Every tap is kept here.');
}
