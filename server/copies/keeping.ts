/**
 * How copies are kept. It stands beside the studio and not in it: it is about this machine's disks,
 * and it is needed most when the studio itself cannot be opened.
 */
import { chmodSync, existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { dataFolder } from '../database';

const keyShape = z.strictObject({
  N: z.int(),
  r: z.int(),
  p: z.int(),
  salt: z.string(),
  key: z.string(),
});

export const copyKinds = [
  'start',
  'night',
  'hand',
  'import',
  'merge',
  'deletion',
  'restore',
  'version',
  'reset',
] as const;
export type CopyKind = (typeof copyKinds)[number];

const madeShape = z.strictObject({
  /** Its name in the folder of copies. */
  name: z.string(),
  folder: z.string(),
  atMs: z.number(),
  rows: z.int(),
  hash: z.string(),
});

const keepingShape = z.strictObject({
  /** Another folder for copies, such as one on another disk; null: beside the studio. */
  folder: z.string().max(500).nullable().default(null),
  days: z.int().min(1).max(365).default(14),
  months: z.int().min(0).max(120).default(12),
  /** Copies are sealed with this key; the passphrase that it follows from is kept nowhere. */
  key: keyShape.nullable().default(null),
  /** What is known of the copies that were made and checked here. */
  made: z.array(madeShape).default([]),
  /** Moment of the last copy that was made and found sound, or found to be as the one before. */
  lastGoodMs: z.number().nullable().default(null),
  /** Why the last one failed; null: it did not. */
  failed: z.string().nullable().default(null),
});

export type Keeping = z.infer<typeof keepingShape>;

const keepingFile = () => path.join(dataFolder(), 'copies.json');

export function readKeeping(): Keeping {
  const file = keepingFile();
  if (!existsSync(file)) return keepingShape.parse({});
  try {
    return keepingShape.parse(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    // The copies themselves are found by their names.
    return keepingShape.parse({});
  }
}

export function saveKeeping(change: Partial<Keeping>): Keeping {
  const next = keepingShape.parse({ ...readKeeping(), ...change });
  const file = keepingFile();
  writeFileSync(`${file}.part`, JSON.stringify(next, null, 1), { mode: 0o600 });
  renameSync(`${file}.part`, file);
  chmodSync(file, 0o600);
  return next;
}

/** Where copies may stand: beside the studio always, and where the teacher has chosen. */
export function copyFolders(): string[] {
  const own = path.join(dataFolder(), 'copies');
  const { folder } = readKeeping();
  return folder === null ? [own] : [folder, own];
}
