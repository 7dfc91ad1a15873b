/**
 * Taps on the device itself. A tap counts as made once it is in here, on disk; the server hears of
 * it when it can be reached.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FloorAct, Stamp, Tap } from '@/core/floor/tap';

interface ClassMeta {
  readonly uid: string;
  readonly nextSeq: number;
  /** Newest own tap that the server has. */
  readonly upTo: number;
  /** Newest tap of the others that is here. */
  readonly after: number;
  readonly openedMs: number;
}

interface FloorDb extends DBSchema {
  tap: {
    key: [string, string, number];
    value: { uid: string; tap: Tap };
    indexes: { uid: string };
  };
  meta: { key: string; value: ClassMeta };
  device: { key: string; value: string };
}

let opened: Promise<IDBPDatabase<FloorDb>> | null = null;

const open = () =>
  (opened ??= openDB<FloorDb>('levitar-floor', 1, {
    upgrade(db) {
      db.createObjectStore('tap').createIndex('uid', 'uid');
      db.createObjectStore('meta', { keyPath: 'uid' });
      db.createObjectStore('device');
    },
    terminated() {
      opened = null;
    },
  }));

/** This browser's name among the devices of a class; made once. */
export async function findDevice(): Promise<string> {
  const db = await open();
  const tx = db.transaction('device', 'readwrite');
  const known = await tx.store.get('name');
  const name = known ?? crypto.randomUUID().slice(0, 13);
  if (known === undefined) await tx.store.put(name, 'name');
  await tx.done;
  return name;
}

const fresh = (uid: string): ClassMeta => ({
  uid,
  nextSeq: 1,
  upTo: 0,
  after: 0,
  openedMs: Date.now(),
});

/**
 * Keeps one tap, on disk before it resolves.
 *
 * @throws DOMException when the device cannot keep it, `QuotaExceededError` when it is full
 */
export async function keepTap(uid: string, device: string, at: Stamp, act: FloorAct): Promise<Tap> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta'], 'readwrite', { durability: 'strict' });
  const meta = (await tx.objectStore('meta').get(uid)) ?? fresh(uid);
  const tap: Tap = { device, seq: meta.nextSeq, at, act };
  await Promise.all([
    tx.objectStore('tap').put({ uid, tap }, [uid, device, tap.seq]),
    tx.objectStore('meta').put({ ...meta, nextSeq: meta.nextSeq + 1 }),
  ]);
  await tx.done;
  return tap;
}

export async function readTaps(uid: string): Promise<Tap[]> {
  const db = await open();
  return (await db.getAllFromIndex('tap', 'uid', uid)).map(({ tap }) => tap);
}

export async function readMeta(uid: string): Promise<ClassMeta> {
  const db = await open();
  return (await db.get('meta', uid)) ?? fresh(uid);
}

/** Notes how far the server is, and keeps what the others tapped. */
export async function noteDelivered(
  uid: string,
  delivered: { readonly upTo: number; readonly after: number; readonly taps: readonly Tap[] },
): Promise<void> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta'], 'readwrite');
  const meta = (await tx.objectStore('meta').get(uid)) ?? fresh(uid);
  for (const tap of delivered.taps) {
    await tx.objectStore('tap').put({ uid, tap }, [uid, tap.device, tap.seq]);
  }
  await tx.objectStore('meta').put({
    ...meta,
    upTo: Math.max(meta.upTo, delivered.upTo),
    after: Math.max(meta.after, delivered.after),
    // The server may know taps that this browser has lost: their names are not given twice.
    nextSeq: Math.max(meta.nextSeq, delivered.upTo + 1),
  });
  await tx.done;
}

const weekMs = 7 * 86_400_000;

/** Forgets classes of more than a week ago that the server has whole. */
export async function tidy(nowMs: number): Promise<void> {
  const db = await open();
  for (const meta of await db.getAll('meta')) {
    if (nowMs - meta.openedMs < weekMs || meta.upTo < meta.nextSeq - 1) continue;
    const tx = db.transaction(['tap', 'meta'], 'readwrite');
    const keys = await tx.objectStore('tap').index('uid').getAllKeys(meta.uid);
    for (const key of keys) await tx.objectStore('tap').delete(key);
    await tx.objectStore('meta').delete(meta.uid);
    await tx.done;
  }
}
