/** Taking a copy back: looked at first, and itself undone by the copy that is made before it. */
import { copyFileSync, existsSync, renameSync, rmSync, chmodSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { beginEra, carryOver, dropRemoved, listUids } from '@/db/carryOver';
import { removeDatabase } from '@/db/copyWork.mjs';
import { listFloorClassesOn } from '@/db/floor';
import { freeName, settle } from '@/db/copyFile';
import { hasContent, markFolder } from '@/db/folder';
import { openCopy, type Db, type OpenDatabase } from '@/db/open';
import { countStudio, eraseDeleted, type StudioSize } from '@/db/removal';
import { readSealHeader, SealProblem, unsealFile } from '@/db/sealing.mjs';
import { StudioTrouble } from '@/db/trouble';
import { noteInDiary } from '../network/asking';
import { nowMs, today } from '../clock';
import { closeDatabase, database, databaseFile, dataFolder, findTrouble } from '../database';
import { writeResult } from '../running/floor';
import { holdingOthers } from '../files/importing';
import { done, refuse, type Outcome } from '../result';
import { reading } from '../useCase';
import { forgetJudged } from '../judging/forget';
import { copyBefore, findCopy } from './copies';
import { readKeeping } from './keeping';

export interface RestoreLook {
  readonly name: string;
  readonly atMs: number;
  readonly now: StudioSize | null;
  readonly then: StudioSize;
  /** Here today and not in the copy: they would be gone. */
  readonly gone: readonly string[];
  /** In the copy and no longer here: they would be back. */
  readonly back: readonly string[];
}

const goneCopy = { form: 'This copy is no longer there.' };
const form = z.strictObject({ name: z.string().max(200), passphrase: z.string().max(200) });

/** The studio as it is; `null` while it cannot be opened. */
const present = (): Db | null => (findTrouble() === null ? database() : null);

/**
 * Opens a copy into a file of its own, brings it up to date, and brings into it what it must not
 * undo. The copy itself is not touched.
 *
 * @throws SealProblem for a wrong passphrase, StudioTrouble for a copy that is none
 */
async function prepare(file: string, passphrase: string, part: string): Promise<OpenDatabase> {
  removeDatabase(part);
  if (readSealHeader(file) === null) {
    copyFileSync(file, part);
    const log = `${file}-wal`;
    // A file that was taken as it lay there may have its newest changes beside it.
    if (hasContent(log)) copyFileSync(log, `${part}-wal`);
  } else await unsealFile(file, part, { passphrase, key: readKeeping().key });
  chmodSync(part, 0o600);
  const opened = openCopy(part);
  try {
    const now = present();
    opened.db.transaction((tx) => {
      if (now !== null) carryOver(now, tx, today());
      dropRemoved(tx);
      // What was tapped since the copy belongs in the record of its people, ended or not.
      for (const row of listFloorClassesOn(tx, today())) writeResult(tx, row);
      beginEra(tx, { withDevices: now !== null });
    });
    eraseDeleted(opened.db);
    return opened;
  } catch (error) {
    opened.close();
    throw error;
  }
}

const partIn = (what: string) => path.join(dataFolder(), `${what}.${process.pid}.part`);

function explain(error: unknown): Outcome<never> {
  if (error instanceof SealProblem) return refuse({ passphrase: error.message });
  if (error instanceof StudioTrouble) {
    return refuse({ form: `This copy cannot be taken back: it ${wordsOfCopy(error)}` });
  }
  throw error;
}

const wordsOfCopy = ({ message }: StudioTrouble) => message.replace(/^\S+ /, '');

/** What taking a copy back would change; nothing is changed. */
export const lookAtCopy = reading([form], async (asked): Promise<Outcome<RestoreLook>> => {
  const copy = findCopy(asked.name);
  if (copy === null) return refuse(goneCopy);
  const part = partIn('looking');
  try {
    const opened = await prepare(copy.file, asked.passphrase, part);
    try {
      const now = present();
      const [here, there] = [
        now === null ? new Map<string, string>() : listUids(now),
        listUids(opened.db),
      ];
      const only = (a: ReadonlyMap<string, string>, b: ReadonlyMap<string, string>) =>
        [...a].filter(([uid]) => !b.has(uid)).map(([, name]) => name);
      return done({
        name: copy.name,
        atMs: copy.atMs,
        now: now === null ? null : countStudio(now),
        then: countStudio(opened.db),
        gone: only(here, there),
        // Whoever has not signed in, since nobody can, is shown no names.
        back: now === null ? [] : only(there, here),
      });
    } finally {
      opened.close();
    }
  } catch (error) {
    return explain(error);
  } finally {
    removeDatabase(part);
  }
});

/**
 * Takes a copy back. What is here goes among the copies first, so that this can be taken back too.
 *
 * @returns the name of the copy that was made before; `null` where there was nothing sound to copy
 */
export const restoreCopy = reading([form], async (asked): Promise<Outcome<string | null>> => {
  const copy = findCopy(asked.name);
  return copy === null ? refuse(goneCopy) : restoreFile(copy.file, asked.passphrase);
});

/** The same with a file from anywhere. */
export function restoreFile(file: string, passphrase: string): Promise<Outcome<string | null>> {
  return holdingOthers(async () => {
    const part = partIn('restoring');
    try {
      const before = present() === null ? null : await copyBefore('restore');
      const opened = await prepare(file, passphrase, part);
      noteInDiary(opened.db, 'restored');
      opened.close();
      settle(part);
      exchange(part);
      forgetJudged();
      database();
      return done(before);
    } catch (error) {
      return explain(error);
    } finally {
      removeDatabase(part);
    }
  });
}

/** Puts the prepared file in the place of the studio's, in one step: there is always one of the two. */
function exchange(part: string): void {
  const file = databaseFile();
  const isSound = findTrouble() === null;
  closeDatabase();
  if (existsSync(file)) {
    if (!isSound) {
      // What could not be opened is kept as it is, with its log: somebody may still read it.
      const stamp = new Date(nowMs()).toISOString().replace(/[:.]/g, '-');
      const aside = freeName(path.join(dataFolder(), `unreadable_${stamp}.sqlite`));
      for (const extra of ['', '-wal', '-shm']) {
        if (existsSync(file + extra)) renameSync(file + extra, aside + extra);
      }
    } else if (hasContent(`${file}-wal`)) {
      // The log of the one must never be read into the other.
      throw new StudioTrouble('locked', file);
    }
  }
  for (const extra of ['-wal', '-shm']) rmSync(file + extra, { force: true });
  renameSync(part, file);
  settle(dataFolder());
  markFolder(dataFolder());
}

/** An empty studio in the place of one that is missing or cannot be opened; that one is kept. */
export function beginAnew(): Outcome {
  if (findTrouble() === null) return refuse({ form: 'The studio is there.' });
  const part = partIn('beginning');
  removeDatabase(part);
  const opened = openCopy(part, { isNew: true });
  noteInDiary(opened.db, 'began-anew');
  opened.close();
  exchange(part);
  forgetJudged();
  database();
  return done(undefined);
}
