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
import type { FloorRole } from '@/core/floor/roles';
import { lineOf } from '@/core/units/text';
import { getSettings } from '@/db/courses';
import { noteInDiary } from './asking';
import { nowMs, today } from './clock';
import { database } from './database';
import { done, refuse, toProblems, type Outcome } from './result';

export const pairingRule = {
  digits: 8,
  /** A code is good for so long. */
  lastsMs: 5 * 60_000,
  /** After so many wrong tries every code on a screen is void. */
  mostTries: 5,
  /** Last sign of life is noted no more often than this. */
  seenEveryMs: 60_000,
} as const;

/** A digest: what opens the door stands in no file. */
export const markOfSecret = (secret: string): string =>
  createHash('sha256').update(`levitar-device:${secret}`).digest('hex');

const dayMs = 86_400_000;

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

export async function createPairing(input: unknown): Promise<Outcome<Pairing>> {
  const role = z.enum(['teacher', 'assistant']).safeParse(input);
  if (!role.success) return refuse({ form: 'Say whose device it is.' });
  const code = String(randomInt(10 ** pairingRule.digits)).padStart(pairingRule.digits, '0');
  const expiresMs = nowMs() + pairingRule.lastsMs;
  database().transaction((tx) => {
    clearPairings(tx, nowMs());
    addPairing(tx, { codeMark: markOfSecret(code), role: role.data, expiresMs });
  });
  const address = networkAddress();
  const target = address === null ? null : `${address}/pair#${code}`;
  return done({
    code,
    expiresMs,
    address,
    picture: target === null ? null : await QRCode.toDataURL(target, { margin: 1, width: 380 }),
  });
}

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

/** Lets a device in by its code. A code serves once; wrong tries void every code on a screen. */
export function joinDevice(input: unknown): Outcome<Joined> {
  const parsed = joinForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const { code, name } = parsed.data;
  return database().transaction((tx) => {
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
  });
}

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

export function dropDevice(input: unknown): Outcome {
  const id = z.int().positive().safeParse(input);
  return database().transaction((tx) => {
    if (!id.success || !removeDevice(tx, id.data)) {
      return refuse({ form: 'This device is no longer let in.' });
    }
    noteInDiary(tx, 'put-out');
    return done(undefined);
  });
}

export const readDevices = () =>
  listDevices(database()).map(({ id, name, role, addedOn, seenMs }) => ({
    id,
    name,
    role,
    addedOn,
    seenMs,
  }));
