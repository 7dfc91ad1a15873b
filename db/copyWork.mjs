/** Making and checking one copy: run beside the server, which goes on answering meanwhile. */
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdirSync, rmSync, statSync, chmodSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { sealFile } from './sealing.mjs';

/** @typedef {import('./sealing.mjs').SealKey} SealKey */

/**
 * @typedef {object} CopyTask
 * @property {string} source the studio's file, open elsewhere
 * @property {string} part where the copy is built; another process gives it its name
 * @property {SealKey | null} key sealed with this; null: plain
 * @property {string | null} lastHash of the copy before; the same again is not kept twice
 */

/**
 * @typedef {object} CopyMade
 * @property {boolean} isSame nothing has changed since the last one; there is no file
 * @property {string} hash of the plain copy
 * @property {number} bytes
 * @property {number} rows of all tables
 */

/** @param {import('better-sqlite3').Database} raw */
export function countRows(raw) {
  const names = raw
    .prepare(`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'`)
    .all();
  let rows = 0;
  for (const { name } of /** @type {{ name: string }[]} */ (names)) {
    const one = raw.prepare(`SELECT count(*) AS count FROM "${name.replaceAll('"', '""')}"`).get();
    rows += /** @type {{ count: number }} */ (one).count;
  }
  return rows;
}

/** @param {string} file */
function hashOf(file) {
  return new Promise((resolve, reject) => {
    const hash = createHash('sha256');
    createReadStream(file, { highWaterMark: 1 << 20 })
      .on('data', (piece) => hash.update(piece))
      .on('error', reject)
      .on('end', () => resolve(hash.digest('hex')));
  });
}

/** @param {string} file */
export function removeDatabase(file) {
  for (const extra of ['', '-wal', '-shm', '-journal']) rmSync(file + extra, { force: true });
}

/**
 * The number of rows of a sound copy.
 *
 * @param {string} file
 * @throws {Error} when its pages do not hang together
 */
function checkCopy(file) {
  const raw = new Database(file, { fileMustExist: true });
  try {
    // One file, without a log beside it.
    raw.pragma('journal_mode = DELETE');
    if (raw.pragma('integrity_check(1)', { simple: true }) !== 'ok')
      throw new Error('damaged copy');
    return countRows(raw);
  } finally {
    raw.close();
  }
}

/**
 * A copy of one moment, however much is written meanwhile, checked before it counts: its pages and
 * its number of rows against those of the same moment.
 *
 * @param {CopyTask} task
 * @returns {Promise<CopyMade>}
 */
export async function makeCopy({ source, part, key, lastHash }) {
  mkdirSync(path.dirname(part), { recursive: true, mode: 0o700 });
  const plain = `${part}.plain`;
  removeDatabase(plain);
  rmSync(part, { force: true });
  try {
    const raw = new Database(source, { fileMustExist: true });
    let rows;
    try {
      raw.pragma('busy_timeout = 5000');
      // What is counted and what is copied is one moment's.
      raw.exec('BEGIN');
      rows = countRows(raw);
      await raw.backup(plain, { progress: () => 2 ** 30 });
      raw.exec('COMMIT');
    } finally {
      raw.close();
    }
    chmodSync(plain, 0o600);
    if (checkCopy(plain) !== rows) throw new Error('The copy does not hold what the studio holds.');
    const hash = await hashOf(plain);
    if (hash === lastHash) return { isSame: true, hash, bytes: 0, rows };
    if (key === null) {
      const { renameSync } = await import('node:fs');
      renameSync(plain, part);
    } else await sealFile(plain, part, key);
    return { isSame: false, hash, bytes: statSync(part).size, rows };
  } finally {
    if (existsSync(plain)) removeDatabase(plain);
  }
}
