/** Devices that were let in, and the codes that are open just now. */
import { asc, eq, gte, lte, or, sql } from 'drizzle-orm';
import type { Db } from './open';
import { device, pairing, tapDevice } from './schema';

export type DeviceRow = typeof device.$inferSelect;
export type PairingRow = typeof pairing.$inferSelect;

export const listDevices = (db: Db): DeviceRow[] =>
  db.select().from(device).orderBy(asc(device.id)).all();

export const findDeviceByMark = (db: Db, tokenMark: string): DeviceRow | null =>
  db.select().from(device).where(eq(device.tokenMark, tokenMark)).get() ?? null;

export function addDevice(
  db: Db,
  values: Pick<DeviceRow, 'name' | 'role' | 'tokenMark' | 'addedOn'>,
): void {
  db.insert(device).values(values).run();
}

export const removeDevice = (db: Db, id: number): boolean =>
  db.delete(device).where(eq(device.id, id)).run().changes > 0;

export function saveSeen(db: Db, id: number, seenMs: number): void {
  db.update(device).set({ seenMs }).where(eq(device.id, id)).run();
}

export const listPairings = (db: Db): PairingRow[] => db.select().from(pairing).all();

export function addPairing(
  db: Db,
  values: Pick<PairingRow, 'codeMark' | 'role' | 'expiresMs'>,
): void {
  db.insert(pairing).values(values).run();
}

/** Drops what has expired, and the one that has just served. */
export function clearPairings(db: Db, nowMs: number, served?: number): void {
  const expired = lte(pairing.expiresMs, nowMs);
  db.delete(pairing)
    .where(served === undefined ? expired : or(expired, eq(pairing.id, served)))
    .run();
}

/** A wrong try counts against every open code; at the limit they are void. */
export function countWrongTry(db: Db, most: number): void {
  db.update(pairing)
    .set({ tries: sql`${pairing.tries} + 1` })
    .run();
  db.delete(pairing).where(gte(pairing.tries, most)).run();
}

export type TapDeviceRow = typeof tapDevice.$inferSelect;

export const findTapDevice = (db: Db, name: string): TapDeviceRow | null =>
  db.select().from(tapDevice).where(eq(tapDevice.name, name)).get() ?? null;

/** Binds a name of a browser to the session that used it first, once and for all. */
export function saveTapDevice(db: Db, row: TapDeviceRow): void {
  db.insert(tapDevice).values(row).onConflictDoNothing().run();
}

export const findDevice = (db: Db, id: number): DeviceRow | null =>
  db.select().from(device).where(eq(device.id, id)).get() ?? null;
