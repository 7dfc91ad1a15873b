/** Signing in at the desk: off until a passphrase is set, then every page asks for it. */
import { createHash, randomBytes, randomInt } from 'node:crypto';
import { z } from 'zod';
import { lineOf } from '@/core/units/text';
import { getSettings, saveSettings } from '@/db/courses';
import {
  addDeskSession,
  clearDeskSessions,
  findDeskLock,
  findDeskSession,
  removeDeskLock,
  saveDeskLock,
  saveDeskSession,
  saveTries,
} from '@/db/desk';
import type { Db } from '@/db/open';
import { atDesk, nobody, type Asker } from '../network/asker';
import { noteInDiary } from '../network/asking';
import { nowMs } from '../clock';
import { database } from '../database';
import { done, refuse, type Outcome } from '../result';
import { field, reading } from '../useCase';
import { digestOf, isDigestOf } from './digest';

export const deskCookie = 'levitar-desk';

export const deskRule = {
  fewestSigns: 6,
  /** So many wrong tries are free; after that each makes the next one wait twice as long. */
  freeTries: 3,
  firstWaitMs: 2000,
  longestWaitMs: 5 * 60_000,
  /** Last sign of life is noted no more often than this. */
  seenEveryMs: 15_000,
  /** Signed in and away for so long: signed out. */
  longestMs: 7 * 86_400_000,
} as const;

export const hasDeskLock = (): boolean => findDeskLock(database()) !== null;

const markOfToken = (token: string) =>
  createHash('sha256').update(`levitar-desk:${token}`).digest('hex');

/** Who sits at the desk, by the cookie of the browser. */
export function findAtDesk(token: string | undefined): Asker {
  const db = database();
  const { deskName, deskIdleMinutes } = getSettings(db);
  if (findDeskLock(db) === null) return atDesk(deskName);
  const session =
    token === undefined || token.length > 100 ? null : findDeskSession(db, markOfToken(token));
  if (session === null || nowMs() - session.seenMs > deskRule.longestMs) {
    return { ...nobody, isFromNetwork: false };
  }
  const isIdle = nowMs() - session.seenMs > deskIdleMinutes * 60_000;
  if (isIdle && !session.isLocked)
    trySaving(() => saveDeskSession(db, session.id, { isLocked: true }));
  return { ...atDesk(session.name), isLocked: session.isLocked || isIdle };
}

/** Somebody is at work at the desk: it does not lock yet. */
export function noteAtDesk(token: string | undefined): void {
  if (token === undefined) return;
  const db = database();
  const session = findDeskSession(db, markOfToken(token));
  if (session === null || session.isLocked) return;
  const now = nowMs();
  if (now - session.seenMs < deskRule.seenEveryMs) return;
  trySaving(() => saveDeskSession(db, session.id, { seenMs: now }));
}

/** A full disk must not keep anybody from reading. */
function trySaving(save: () => void): void {
  try {
    save();
  } catch {
    // Noted the next time.
  }
}

export function lockDesk(token: string | undefined): void {
  if (token === undefined) return;
  const db = database();
  const session = findDeskSession(db, markOfToken(token));
  if (session !== null) saveDeskSession(db, session.id, { isLocked: true });
}

const name = z.string().transform(lineOf).pipe(z.string().max(40, 'At most 40 signs.'));
const secret = z.string().max(200, 'At most 200 signs.');

const signInForm = z.strictObject({ passphrase: secret, name });

/** Wrong tries are counted for the desk as a whole, and outlive a restart. */
function waitWords(db: Db): string | null {
  const lock = findDeskLock(db);
  if (lock === null) return null;
  const left = Math.ceil((lock.nextTryMs - nowMs()) / 1000);
  return left <= 0
    ? null
    : `That was wrong several times. The next try is looked at in ${left} ${left === 1 ? 'second' : 'seconds'}.`;
}

function noteWrongTry(db: Db): void {
  db.transaction((tx) => {
    const lock = findDeskLock(tx);
    if (lock === null) return;
    const wrongTries = lock.wrongTries + 1;
    const over = wrongTries - deskRule.freeTries;
    const waitMs =
      over <= 0 ? 0 : Math.min(deskRule.longestWaitMs, deskRule.firstWaitMs * 2 ** (over - 1));
    saveTries(tx, { wrongTries, nextTryMs: nowMs() + waitMs });
    noteInDiary(tx, 'wrong-passphrase', 'desk');
  });
}

function openSession(db: Db, called: string): string {
  const token = randomBytes(32).toString('base64url');
  clearDeskSessions(db, nowMs() - deskRule.longestMs);
  addDeskSession(db, { tokenMark: markOfToken(token), name: called, seenMs: nowMs() });
  if (called !== '') saveSettings(db, { deskName: called });
  return token;
}

/** One try at a time: several at once would all be looked at before the first is counted. */
let turn: Promise<unknown> = Promise.resolve();
const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
  const mine = turn.then(work, work);
  turn = mine.catch(() => undefined);
  return mine;
};

/** @returns the token for the cookie */
export const signIn = reading([signInForm], (form) =>
  inTurn(async (): Promise<Outcome<string>> => {
    const db = database();
    const lock = findDeskLock(db);
    if (lock === null) return refuse({ form: 'No passphrase is set: the desk is open.' });
    const wait = waitWords(db);
    if (wait !== null) return refuse({ passphrase: wait });
    if (!(await isDigestOf(form.passphrase, lock.passphrase))) {
      noteWrongTry(db);
      return refuse({ passphrase: waitWords(db) ?? 'This is not the passphrase of this desk.' });
    }
    return db.transaction((tx) => {
      saveTries(tx, { wrongTries: 0, nextTryMs: 0 });
      noteInDiary(tx, 'signed-in', form.name === '' ? 'desk' : form.name);
      return done(openSession(tx, form.name));
    });
  }),
);

/** Letters and digits that are not taken for one another. */
const signs = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const newRecovery = () =>
  Array.from({ length: 4 }, () =>
    Array.from({ length: 5 }, () => signs[randomInt(signs.length)]).join(''),
  ).join('-');
const plainRecovery = (text: string) => text.toUpperCase().replace(/[^0-9A-Z]/g, '');

const newForm = z.strictObject({
  /** What is set now; not asked for while none is. */
  present: secret,
  passphrase: secret.min(deskRule.fewestSigns, `At least ${deskRule.fewestSigns} signs.`),
  name,
});

export interface DeskOpened {
  /** Shown once, to be printed or written down; nobody can show it again. */
  readonly recovery: string;
  readonly token: string;
}

async function setPassphrase(
  passphrase: string,
  called: string,
  kinds: readonly ('passphrase-changed' | 'recovery-used')[],
): Promise<DeskOpened> {
  const recovery = newRecovery();
  const [first, second] = await Promise.all([
    digestOf(passphrase),
    digestOf(plainRecovery(recovery)),
  ]);
  return database().transaction((tx) => {
    saveDeskLock(tx, { passphrase: first, recovery: second });
    clearDeskSessions(tx);
    for (const kind of kinds) noteInDiary(tx, kind, called === '' ? 'desk' : called);
    return { recovery, token: openSession(tx, called) };
  });
}

/** Sets or changes the passphrase. Everybody else at the desk signs in anew. */
export const changePassphrase = reading([newForm], (form) =>
  inTurn(async (): Promise<Outcome<DeskOpened>> => {
    const refused = await refuseWithout(form.present);
    if (refused !== null) return refused;
    return done(await setPassphrase(form.passphrase, form.name, ['passphrase-changed']));
  }),
);

/** The passphrase as it is must be known, whoever sits there; `null`: it is. */
async function refuseWithout(present: string): Promise<Outcome<never> | null> {
  const db = database();
  const lock = findDeskLock(db);
  if (lock === null) return null;
  const wait = waitWords(db);
  if (wait !== null) return refuse({ present: wait });
  if (await isDigestOf(present, lock.passphrase)) return null;
  noteWrongTry(db);
  return refuse({ present: waitWords(db) ?? 'This is not the passphrase of this desk.' });
}

/** The desk asks for nothing any more. */
export const dropPassphrase = reading([field('present', secret)], (present) =>
  inTurn(async (): Promise<Outcome> => {
    const refused = await refuseWithout(present);
    if (refused !== null) return refused;
    database().transaction((tx) => {
      removeDeskLock(tx);
      clearDeskSessions(tx);
      noteInDiary(tx, 'passphrase-changed');
    });
    return done(undefined);
  }),
);

const recoveryForm = z.strictObject({
  recovery: z.string().max(60),
  passphrase: newForm.shape.passphrase,
  name,
});

/** The printed code opens the desk once, sets a new passphrase and gives a new code. */
export const recoverDesk = reading([recoveryForm], (form) =>
  inTurn(async (): Promise<Outcome<DeskOpened>> => {
    const db = database();
    const lock = findDeskLock(db);
    if (lock === null) return refuse({ form: 'No passphrase is set: the desk is open.' });
    const wait = waitWords(db);
    if (wait !== null) return refuse({ recovery: wait });
    if (!(await isDigestOf(plainRecovery(form.recovery), lock.recovery))) {
      noteWrongTry(db);
      return refuse({ recovery: waitWords(db) ?? 'This is not the recovery code of this desk.' });
    }
    return done(await setPassphrase(form.passphrase, form.name, ['recovery-used']));
  }),
);
