/**
 * Taps on the device itself. A tap counts as made once it is in here, on disk; the server hears of
 * it when it can be reached.
 */
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { agreeAnew, stillWaiting, underNewName } from '@/core/running/queue';
import type { FloorAct, Stamp, Tap } from '@/core/running/tap';

interface ClassMeta {
  readonly uid: string;
  readonly nextSeq: number;
  /** Newest own tap that the server has. */
  readonly upTo: number;
  /** Newest tap of the others that is here. */
  readonly after: number;
  readonly openedMs: number;
  /** The server's, when it was last heard. */
  readonly era?: string;
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
    // Another page of this browser wants to forget everything.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated() {
      opened = null;
    },
  }));

interface NameStore {
  readonly get: (key: string) => Promise<string | undefined>;
  readonly put: (value: string, key: string) => Promise<unknown>;
}

const newName = () => crypto.randomUUID().slice(0, 13);

async function nameIn(store: NameStore): Promise<string> {
  const known = await store.get('name');
  if (known !== undefined) return known;
  const name = newName();
  await store.put(name, 'name');
  return name;
}

/** This browser's name among the devices of a class: made once, and anew where it is another's. */
export async function findDevice(): Promise<string> {
  const db = await open();
  const tx = db.transaction('device', 'readwrite');
  const name = await nameIn(tx.store);
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
export async function keepTap(uid: string, at: Stamp, act: FloorAct): Promise<Tap> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta', 'device'], 'readwrite', { durability: 'strict' });
  // In the same step: between looking and keeping, another page may have taken a new name.
  const device = await nameIn(tx.objectStore('device'));
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
  delivered: {
    readonly upTo: number;
    readonly after: number;
    readonly taps: readonly Tap[];
    readonly era: string;
  },
): Promise<void> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta'], 'readwrite');
  const meta = (await tx.objectStore('meta').get(uid)) ?? fresh(uid);
  for (const tap of delivered.taps) {
    const key: [string, string, number] = [uid, tap.device, tap.seq];
    // What was tapped here stands as it was tapped.
    if ((await tx.objectStore('tap').getKey(key)) === undefined) {
      await tx.objectStore('tap').put({ uid, tap }, key);
    }
  }
  const isNewEra = meta.era !== undefined && meta.era !== delivered.era;
  await tx.objectStore('meta').put({
    ...meta,
    era: delivered.era,
    // After a copy was taken back the server's word counts, also where it has less than before.
    upTo: isNewEra ? delivered.upTo : Math.max(meta.upTo, delivered.upTo),
    after: isNewEra ? 0 : Math.max(meta.after, delivered.after),
    // The server may know taps that this browser has lost: their names are not given twice.
    nextSeq: Math.max(meta.nextSeq, delivered.upTo + 1),
  });
  await tx.done;
}

/**
 * The server's row of this device ends elsewhere than is noted here: what it does not have goes
 * again, under numbers that continue its row. No tap is dropped.
 */
export async function noteApart(
  uid: string,
  device: string,
  apart: { readonly upTo: number; readonly differs: readonly number[]; readonly era: string },
): Promise<void> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta'], 'readwrite', { durability: 'strict' });
  const meta = (await tx.objectStore('meta').get(uid)) ?? fresh(uid);
  const own = (await tx.objectStore('tap').index('uid').getAll(uid))
    .map(({ tap }) => tap)
    .filter((tap) => tap.device === device);
  const { moved, nextSeq } = agreeAnew(own, apart);
  for (const seq of moved.keys()) await tx.objectStore('tap').delete([uid, device, seq]);
  for (const tap of moved.values()) {
    await tx.objectStore('tap').put({ uid, tap }, [uid, device, tap.seq]);
  }
  await tx.objectStore('meta').put({
    ...meta,
    upTo: apart.upTo,
    // The others' numbers may have changed as well.
    after: 0,
    nextSeq,
    era: apart.era,
  });
  await tx.done;
}

/**
 * The server knows another device under this browser's name: this one takes a new name, and what was
 * not taken in goes under it. What was taken in stays whose it is there.
 */
export async function takeNewName(refused: string): Promise<void> {
  const db = await open();
  const tx = db.transaction(['tap', 'meta', 'device'], 'readwrite', { durability: 'strict' });
  // Another page of this browser was told the same and has done it.
  if ((await nameIn(tx.objectStore('device'))) === refused) {
    const device = newName();
    await tx.objectStore('device').put(device, 'name');
    for (const meta of await tx.objectStore('meta').getAll()) {
      const { uid, upTo } = meta;
      const own = (await tx.objectStore('tap').index('uid').getAll(uid))
        .map(({ tap }) => tap)
        .filter((tap) => tap.device === refused);
      const moved = underNewName(stillWaiting(own, upTo), device);
      for (const seq of moved.keys()) await tx.objectStore('tap').delete([uid, refused, seq]);
      for (const tap of moved.values()) {
        await tx.objectStore('tap').put({ uid, tap }, [uid, device, tap.seq]);
      }
      await tx.objectStore('meta').put({ ...meta, upTo: 0, after: 0, nextSeq: moved.size + 1 });
    }
  }
  await tx.done;
}

/** Every class with taps of this browser that the server does not have. */
export async function listUnsent(): Promise<{ readonly uid: string; readonly taps: Tap[] }[]> {
  const db = await open();
  const device = await db.get('device', 'name');
  const metas = await db.getAll('meta');
  const lists = await Promise.all(
    metas.map(async ({ uid, upTo }) => ({
      uid,
      taps: (await readTaps(uid)).filter(
        (tap) => tap.device === device && tap.seq > upTo && tap.act.kind !== 'anchor',
      ),
    })),
  );
  return lists.filter(({ taps }) => taps.length > 0);
}

/** Forgets everything that was kept on this device: taps, pages, the worker that serves them. */
export async function wipeDevice(): Promise<void> {
  const worker = 'serviceWorker' in navigator ? navigator.serviceWorker : null;
  for (const one of (await worker?.getRegistrations()) ?? []) await one.unregister();
  if ('caches' in window) {
    for (const name of await caches.keys()) await caches.delete(name);
  }
  if (opened !== null) (await opened.catch(() => null))?.close();
  opened = null;
  await deleteDB('levitar-floor');
  localStorage.clear();
  sessionStorage.clear();
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
