/**
 * One piece of work on the folder of LEVITAR_DATA, in a process that a test kills in the middle of
 * it: says when it begins, waits for nothing, and ends by itself when nobody kills it.
 */
import { statSync } from 'node:fs';
import { setBadRowsAside } from '@/db/setAside';
import { makeCopyNow } from '../copies/copies';
import { restoreFile } from '../copies/restore';
import { database, endDatabase } from '../database';
import { takeStudioFile } from './studioFile';
import { fileSource } from './studioStream';

const work: Readonly<Record<string, (file: string) => unknown>> = {
  import: (file) => takeStudioFile(fileSource(file, statSync(file).size), true),
  restore: (file) => restoreFile(file, ''),
  backup: () => makeCopyNow('hand'),
  migration: () => database().transaction((tx) => setBadRowsAside(tx, 0)),
};

const [kind, file] = process.argv.slice(2);
process.stdout.write('begun\n');
await work[kind!]!(file!);
endDatabase();
process.stdout.write('done\n');
