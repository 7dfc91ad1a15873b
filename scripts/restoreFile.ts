/** Takes a file back into the folder of LEVITAR_DATA; see restore.mjs. */
import { openSync, readSync, closeSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { clearNewFolder, FolderBusyError, isNewFolder } from '@/db/folder';
import { readSealHeader, SealProblem, unsealFile } from '@/db/sealing.mjs';
import { StudioTrouble } from '@/db/trouble';
import { restoreFile } from '@/server/copies/restore';
import { dataFolder, endDatabase, holdFolder } from '@/server/database';
import { copyBefore } from '@/server/copies/copies';
import type { Outcome } from '@/server/result';
import { takeStudioFile } from '@/server/files/studioFile';
import { fileSource } from '@/server/files/studioStream';

const passphrase = process.env.LEVITAR_PASSPHRASE ?? '';

function isDatabase(file: string): boolean {
  const handle = openSync(file, 'r');
  const start = Buffer.alloc(15);
  readSync(handle, start, 0, 15, 0);
  closeSync(handle);
  return start.toString('latin1') === 'SQLite format 3';
}

/** A file that was handed out is taken in; what is here stays beside it. */
async function takeHandedOut(file: string): Promise<Outcome<unknown>> {
  if (!isNewFolder(dataFolder())) await copyBefore('import');
  return takeStudioFile(fileSource(file, statSync(file).size), true);
}

async function restore(file: string): Promise<Outcome<unknown>> {
  const header = readSealHeader(file);
  if (header?.holds !== 'studio-file') {
    return header === null && !isDatabase(file)
      ? takeHandedOut(file)
      : restoreFile(file, passphrase);
  }
  const plain = path.join(dataFolder(), `opened.${process.pid}.part`);
  try {
    await unsealFile(file, plain, { passphrase });
    return await takeHandedOut(plain);
  } finally {
    rmSync(plain, { force: true });
  }
}

try {
  const wasNew = isNewFolder(dataFolder());
  holdFolder();
  const outcome = await restore(process.argv[2]!);
  endDatabase();
  if (!outcome.ok && wasNew) clearNewFolder(dataFolder());
  if (outcome.ok) console.log(`Taken back into ${dataFolder()}. Start with: npm start`);
  else {
    console.error(Object.values(outcome.problems).join(' '));
    process.exit(1);
  }
} catch (error) {
  const isKnown =
    error instanceof FolderBusyError ||
    error instanceof StudioTrouble ||
    error instanceof SealProblem;
  if (!isKnown) throw error;
  console.error(error.message);
  process.exit(1);
}
