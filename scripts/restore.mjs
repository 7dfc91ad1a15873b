/**
 * npm run restore -- FILE [--data FOLDER]: takes a copy back from anywhere, for the day the machine
 * died. FILE is a copy (.sqlite), a sealed one, or a file that was handed out. What is in the folder
 * goes among the copies first. A passphrase is asked for, or taken from LEVITAR_PASSPHRASE.
 */
import { closeSync, existsSync, openSync, readSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { parseArgs } from 'node:util';
import { runOn } from './launch.mjs';
import { ensurePackages, root } from './setup.mjs';

const { values, positionals } = parseArgs({
  options: {
    data: { type: 'string', default: process.env.LEVITAR_DATA ?? path.join(root, 'levitar-data') },
  },
  allowPositionals: true,
});
const [file] = positionals;
if (file === undefined || positionals.length !== 1) {
  console.error('Which file? npm run restore -- FILE');
  process.exit(1);
}
if (!existsSync(file)) {
  console.error(`There is no file ${file}.`);
  process.exit(1);
}
ensurePackages();

/** Asks without showing what is typed. */
async function askPassphrase() {
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  process.stdout.write('Passphrase of this file: ');
  const lines = createInterface({ input: process.stdin, output: silent, terminal: true });
  const typed = await lines.question('');
  lines.close();
  process.stdout.write('\n');
  return typed;
}

function isSealed() {
  const handle = openSync(file, 'r');
  const start = Buffer.alloc(40);
  readSync(handle, start, 0, 40, 0);
  closeSync(handle);
  return start.toString('latin1').startsWith('{"format":"levitar-sealed"');
}

if (isSealed() && process.env.LEVITAR_PASSPHRASE === undefined) {
  process.env.LEVITAR_PASSPHRASE = await askPassphrase();
}
process.exit(runOn(path.resolve(values.data), 'restoreFile.ts', path.resolve(file)) ? 0 : 1);
