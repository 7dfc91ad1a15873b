import {
  chmodSync,
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
} from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';

/** What was written is on the disk, also when the power goes. */
export function settle(file: string): void {
  const handle = openSync(file, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** A name that nothing has yet: no copy is ever written over another. */
export function freeName(target: string): string {
  const { dir, name, ext } = path.parse(target);
  let found = target;
  for (let count = 2; existsSync(/* turbopackIgnore: true */ found); count += 1)
    found = path.join(dir, `${name}-${count}${ext}`);
  return found;
}

/** Gives a finished file its name, in one step, unless another has it meanwhile. */
export function publish(part: string, target: string): string {
  for (;;) {
    const name = freeName(target);
    try {
      linkSync(part, name);
      rmSync(part);
      return name;
    } catch (error) {
      const { code } = error as { code?: string };
      if (code === 'EEXIST') continue;
      // Some disks know no second name for a file.
      renameSync(part, name);
      return name;
    }
  }
}

/**
 * A copy of a database nobody has open, whole or not at all: its log is emptied into it first.
 *
 * @returns the name it got
 */
export function copyFileWhole(file: string, target: string): string {
  const raw = new Database(file);
  raw.pragma('wal_checkpoint(TRUNCATE)');
  raw.close();
  mkdirSync(path.dirname(target), { recursive: true, mode: 0o700 });
  const part = `${target}.${process.pid}.part`;
  copyFileSync(file, part);
  chmodSync(part, 0o600);
  settle(part);
  return publish(part, target);
}
