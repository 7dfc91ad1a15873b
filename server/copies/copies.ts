/** Copies of the studio: made, checked, listed, and let go when their time is over. */
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { removeDatabase, type CopyMade, type CopyTask } from '@/db/copyWork.mjs';
import { publish, settle } from '@/db/copyFile';
import { nowMs } from '../clock';
import { database, databaseFile, dataFolder } from '../database';
import {
  copyFolders,
  copyKinds,
  readKeeping,
  saveKeeping,
  type CopyKind,
  type Keeping,
} from './keeping';

export interface Copy {
  /** Its name: what the page and the command call it by. */
  readonly name: string;
  readonly file: string;
  readonly atMs: number;
  readonly kind: CopyKind;
  readonly isSealed: boolean;
  readonly bytes: number;
  /** Rows of all tables when it was checked; `null`: made by an earlier version. */
  readonly rows: number | null;
}

const namePattern =
  /^studio_(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z_([a-z]+)(?:-\d+)?\.(sqlite|sealed)$/;
const earlierPattern = /^before-.*\.sqlite$/;

function readName(folder: string, name: string, keeping: Keeping): Copy | null {
  const file = path.join(folder, name);
  const found = namePattern.exec(name);
  if (found === null) {
    if (!earlierPattern.test(name)) return null;
    const { mtimeMs, size } = statSync(file);
    const kind = name === 'before-reset.sqlite' ? 'reset' : 'version';
    return { name, file, atMs: mtimeMs, kind, isSealed: false, bytes: size, rows: null };
  }
  const [, day, hour, minute, second, ms, kindText, ending] = found;
  const kind = copyKinds.find((one) => one === kindText);
  if (kind === undefined) return null;
  return {
    name,
    file,
    atMs: Date.parse(`${day}T${hour}:${minute}:${second}.${ms}Z`),
    kind,
    isSealed: ending === 'sealed',
    bytes: statSync(file).size,
    rows: keeping.made.find((one) => one.name === name)?.rows ?? null,
  };
}

/** Every copy there is, newest first; also those that versions before have left beside the studio. */
export function listCopies(): Copy[] {
  const keeping = readKeeping();
  const seen = new Set<string>();
  return [...copyFolders(), dataFolder()]
    .filter((folder) => existsSync(folder))
    .flatMap((folder) =>
      readdirSync(folder).flatMap((name) => {
        const copy = seen.has(name) ? null : readName(folder, name, keeping);
        if (copy === null) return [];
        seen.add(name);
        return [copy];
      }),
    )
    .sort((a, b) => b.atMs - a.atMs);
}

export const findCopy = (name: string): Copy | null =>
  listCopies().find((copy) => copy.name === name) ?? null;

const stampOf = (ms: number) => new Date(ms).toISOString().replace(/[:.]/g, '-');

function runCopy(task: CopyTask): Promise<CopyMade> {
  return new Promise((resolve, reject) => {
    // From the project's own folder, where the server runs: it is not part of the build.
    const script = path.join(process.cwd(), 'workers', 'copy.mjs');
    const worker = new Worker(script, { workerData: task });
    worker.once('message', (answer: { ok: true; made: CopyMade } | { ok: false; code: string }) => {
      if (answer.ok) resolve(answer.made);
      else reject(Object.assign(new Error('A copy failed.'), { code: answer.code }));
    });
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('A copy ended early.')));
  });
}

const failedWords = (error: unknown): string => {
  const code = String((error as { code?: unknown } | null)?.code ?? '');
  if (code === 'ENOSPC' || code === 'SQLITE_FULL') return 'The disk for the copies is full.';
  if (code === 'EACCES' || code === 'EROFS' || code === 'EPERM') {
    return 'The folder for the copies cannot be written to.';
  }
  if (code === 'ENOENT' || code === 'ENOTDIR') return 'The folder for the copies is not there.';
  return 'The last copy could not be made or was not sound.';
};

let turn: Promise<unknown> = Promise.resolve();

/**
 * Makes a copy now, after those that are being made. One that would be the same as the last is not
 * kept twice, and counts.
 *
 * @returns the name of the copy that now holds what is here
 */
export function makeCopyNow(kind: CopyKind): Promise<string> {
  const mine = turn.then(
    () => makeCopy(kind),
    () => makeCopy(kind),
  );
  turn = mine.catch(() => undefined);
  return mine;
}

/** Nothing is being made any more. */
export const copiesAtRest = (): Promise<unknown> => turn;

async function makeCopy(kind: CopyKind): Promise<string> {
  database();
  const keeping = readKeeping();
  const folder = copyFolders()[0]!;
  const last = keeping.made.at(-1);
  const hasLast =
    last !== undefined && last.folder === folder && existsSync(path.join(folder, last.name));
  const isSealed = keeping.key !== null;
  const atMs = nowMs();
  const name = `studio_${stampOf(atMs)}_${kind}.${isSealed ? 'sealed' : 'sqlite'}`;
  const part = path.join(folder, `${name}.${process.pid}.part`);
  try {
    const made = await runCopy({
      source: databaseFile(),
      part,
      key: keeping.key,
      lastHash: hasLast && last.name.endsWith('.sealed') === isSealed ? last.hash : null,
    });
    if (made.isSame && last !== undefined) {
      saveKeeping({ lastGoodMs: atMs, failed: null });
      return last.name;
    }
    settle(part);
    const given = path.basename(publish(part, path.join(folder, name)));
    const { rows, hash } = made;
    saveKeeping({
      made: [...readKeeping().made, { name: given, folder, atMs, rows, hash }].slice(-400),
      lastGoodMs: atMs,
      failed: null,
    });
    prune();
    return given;
  } catch (error) {
    rmSync(part, { force: true });
    saveKeeping({ failed: failedWords(error) });
    throw error;
  }
}

const dayMs = 86_400_000;

/** Copies whose time is over: older than the days, and not the last of one of the months. */
export function listOver(
  copies: readonly Copy[],
  { days, months }: Pick<Keeping, 'days' | 'months'>,
  atMs: number,
): Copy[] {
  const monthOf = (copy: Copy) => new Date(copy.atMs).toISOString().slice(0, 7);
  const newestFirst = [...copies].sort((a, b) => b.atMs - a.atMs);
  const kept = new Set<string>();
  return newestFirst.filter((copy, index) => {
    // The newest one stays, whatever its age.
    if (index === 0 || atMs - copy.atMs <= days * dayMs) return false;
    const month = monthOf(copy);
    if (kept.has(month) || kept.size >= months) return true;
    kept.add(month);
    return false;
  });
}

function prune(): void {
  const keeping = readKeeping();
  for (const { file } of listOver(listCopies(), keeping, nowMs())) removeDatabase(file);
}

/** The copy before a change that cannot be taken back otherwise. @throws when none could be made */
export const copyBefore = (kind: CopyKind): Promise<string> => makeCopyNow(kind);

/** The same, where the change goes on without: deleting must not fail because the disk is full. */
export async function copyBeforeIfPossible(kind: CopyKind): Promise<void> {
  await makeCopyNow(kind).catch(() => undefined);
}

export function dropAllCopies(): number {
  const copies = listCopies();
  for (const { file } of copies) removeDatabase(file);
  saveKeeping({ made: [], lastGoodMs: null });
  return copies.length;
}
