/** Devices on the studio's network: let in by a code on the teacher's screen, and out again. */
import { createHash, randomBytes, randomInt } from 'node:crypto';
import QRCode from 'qrcode';
import { z } from 'zod';
import {
  addDevice,
  addPairing,
  clearPairings,
  countWrongTry,
  findDeviceByMark,
  listDevices,
  listPairings,
  removeDevice,
  saveSeen,
  type DeviceRow,
} from '@/db/devices';
import type { FloorRole } from '@/core/running/roles';
import { lineOf } from '@/core/units/text';
import { getSettings } from '@/db/courses';
import { noteInDiary } from './asking';
import { nowMs, today } from '../clock';
import { database } from '../database';
import { done, refuse, type Outcome } from '../result';
import { change, numberOf, work } from '../useCase';

const pairingRule = {
  digits: 8,
  /** A code is good for so long. */
  lastsMs: 5 * 60_000,
  /** After so many wrong tries every code on a screen is void. */
  mostTries: 5,
  /** Last sign of life is noted no more often than this. */
  seenEveryMs: 60_000,
} as const;

/** A digest: what opens the door stands in no file. */
const markOfSecret = (secret: string): string =>
  createHash('sha256').update(`levitar-device:${secret}`).digest('hex');

const dayMs = 86_400_000;

const deviceRole = z.enum(['teacher', 'assistant'], 'Say whose device it is.');

export interface Pairing {
  readonly code: string;
  readonly expiresMs: number;
  /** Where the device goes, with the code behind the hash, which is never sent or logged. */
  readonly address: string | null;
  /** The same as a picture; null while no network address is known. */
  readonly picture: string | null;
}

/** Where other devices reach this machine; null in the usual mode, where none can. */
export const networkAddress = (): string | null =>
  process.env.LEVITAR_NETWORK_URL?.split(',')[0] ?? null;

export const createPairing = work([deviceRole], async ({ db }, role): Promise<Outcome<Pairing>> => {
  const code = String(randomInt(10 ** pairingRule.digits)).padStart(pairingRule.digits, '0');
  const expiresMs = nowMs() + pairingRule.lastsMs;
  db.transaction((tx) => {
    clearPairings(tx, nowMs());
    addPairing(tx, { codeMark: markOfSecret(code), role, expiresMs });
  });
  const address = networkAddress();
  const target = address === null ? null : `${address}/pair#${code}`;
  return done({
    code,
    expiresMs,
    address,
    picture: target === null ? null : await QRCode.toDataURL(target, { margin: 1, width: 380 }),
  });
});

const joinForm = z.strictObject({
  code: z
    .string()
    .transform((text) => text.replace(/\D/g, ''))
    .pipe(z.string().length(pairingRule.digits, `The code has ${pairingRule.digits} digits.`)),
  name: z
    .string()
    .transform(lineOf)
    .pipe(z.string().min(1, 'Give the device a name.').max(40, 'At most 40 signs.')),
});

export interface Joined {
  readonly token: string;
  readonly role: FloorRole;
}

/**
 * Lets a device in by its code. A code serves once; wrong tries void every code on a screen: they are
 * counted although the device is refused, so this is no change that is all or nothing.
 */
export const joinDevice = work([joinForm], ({ db }, { code, name }) =>
  db.transaction((tx): Outcome<Joined> => {
    clearPairings(tx, nowMs());
    const open = listPairings(tx);
    const mark = markOfSecret(code);
    const pairing = open.find(({ codeMark }) => codeMark === mark);
    if (pairing === undefined) {
      countWrongTry(tx, pairingRule.mostTries);
      return refuse({
        code:
          open.length === 0
            ? 'No code is open just now. Ask for a new one.'
            : 'This is not the code on the screen. After five wrong tries a new one is needed.',
      });
    }
    clearPairings(tx, nowMs(), pairing.id);
    const token = randomBytes(32).toString('base64url');
    const { role } = pairing;
    noteInDiary(tx, 'let-in', name);
    addDevice(tx, { name, role, tokenMark: markOfSecret(token), addedOn: today() });
    return done({ token, role });
  }),
);

/** The device that holds a token; `null` for none, or one that was put out. */
export function findDeviceBy(token: string | undefined): DeviceRow | null {
  if (token === undefined || token.length > 200) return null;
  const db = database();
  const found = findDeviceByMark(db, markOfSecret(token));
  if (found === null) return null;
  const now = nowMs();
  const heardMs = found.seenMs ?? Date.parse(found.addedOn);
  if (now - heardMs > getSettings(db).deviceIdleDays * dayMs) {
    // Not heard of for so long: a tablet that was lost, sold or lent.
    removeDevice(db, found.id);
    return null;
  }
  if (found.seenMs === null || now - found.seenMs > pairingRule.seenEveryMs) {
    try {
      saveSeen(db, found.id, now);
    } catch {
      // A full disk must not keep a device from reading.
    }
  }
  return found;
}

const put = { form: 'This device is no longer let in.' };

export const dropDevice = change([numberOf(put.form)], ({ db }, id): Outcome => {
  if (!removeDevice(db, id)) return refuse(put);
  noteInDiary(db, 'put-out');
  return done(undefined);
});

export const readDevices = () =>
  listDevices(database()).map(({ id, name, role, addedOn, seenMs }) => ({
    id,
    name,
    role,
    addedOn,
    seenMs,
  }));
