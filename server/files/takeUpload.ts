/** An uploaded file into the studio: small ones at once, large ones by a process of their own. */
import { spawn } from 'node:child_process';
import { readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { createInterface } from 'node:readline';
import { readSealHeader, SealProblem, unsealFile } from '@/db/sealing.mjs';
import { atDesk } from '../network/asker';
import { askingAs } from '../network/asking';
import { copyBefore } from '../copies/copies';
import { readKeeping } from '../copies/keeping';
import { dataFolder } from '../database';
import { holdingOthers } from './importing';
import { takeRecordTable, type TableLook } from './recordTable';
import { refuse, type Outcome } from '../result';
import { forgetJudged } from '../judging/forget';
import { takeStudioFile, type StudioCounts } from './studioFile';
import { fileSource } from './studioStream';
import { dropUpload, uploadFile } from './uploads';

export type Taken = Outcome<StudioCounts | TableLook>;
export type TakeLine = { readonly share: number } | { readonly outcome: Taken };

interface Upload {
  readonly id: unknown;
  readonly kind: 'studio' | 'records';
  readonly isFinal: boolean;
  readonly passphrase: string;
  readonly who: string;
  readonly onProgress: (share: number) => void;
}

/** Up to here reading and writing takes a moment, and everybody waits for it. */
const mostAtOnce = 6_000_000;

const gone = refuse({ form: 'This file is no longer here: choose it again.' });

export async function takeUpload(upload: Upload): Promise<Taken> {
  const file = uploadFile(upload.id);
  const plain = file === null ? null : `${file}.plain`;
  try {
    if (file === null || statSync(file, { throwIfNoEntry: false }) === undefined) return gone;
    const outcome = await takeFile(file, plain!, upload);
    if (upload.isFinal && outcome.ok) dropUpload(upload.id);
    return outcome;
  } catch (error) {
    // The name alone: a message may quote what the file says about somebody.
    console.error('An import failed:', error instanceof Error ? error.name : 'unknown');
    if (error instanceof SealProblem) return refuse({ passphrase: error.message });
    const { code } = error as { code?: string };
    return refuse({
      form:
        code === 'SQLITE_FULL' || code === 'ENOSPC'
          ? 'The disk is full: nothing was stored.'
          : 'That did not work and nothing was stored. Try again.',
    });
  } finally {
    if (plain !== null) rmSync(plain, { force: true });
  }
}

async function takeFile(file: string, plain: string, upload: Upload): Promise<Taken> {
  const { kind, isFinal, who, passphrase, onProgress } = upload;
  const isSealed = readSealHeader(file) !== null;
  if (isSealed) await unsealFile(file, plain, { passphrase, key: readKeeping().key });
  const source = isSealed ? plain : file;
  if (isFinal) await copyBefore('import');
  if (kind === 'records') {
    return askingAs(atDesk(who), () => takeRecordTable(readFileSync(source, 'utf8'), isFinal));
  }
  const bytes = statSync(source).size;
  if (bytes <= mostAtOnce) {
    return askingAs(atDesk(who), () => takeStudioFile(fileSource(source, bytes), isFinal));
  }
  return holdingOthers(() => takeBeside(source, isFinal, who, onProgress));
}

/** Meanwhile this process goes on answering; changes wait until the file is free again. */
function takeBeside(
  file: string,
  isFinal: boolean,
  who: string,
  onProgress: (share: number) => void,
): Promise<Taken> {
  return new Promise((resolve, reject) => {
    const root = process.cwd();
    const child = spawn(
      process.execPath,
      [path.join(root, 'node_modules', 'tsx', 'dist', 'cli.mjs'), 'scripts/takeStudio.ts'],
      {
        cwd: root,
        stdio: ['pipe', 'pipe', 'ignore'],
        env: { ...process.env, LEVITAR_DATA: dataFolder() },
      },
    );
    let outcome: Taken | null = null;
    createInterface({ input: child.stdout }).on('line', (line) => {
      const said = JSON.parse(line) as TakeLine;
      if ('share' in said) onProgress(said.share);
      else outcome = said.outcome;
    });
    child.once('error', reject);
    child.once('close', () => {
      forgetJudged();
      if (outcome === null) reject(new Error('The import ended early.'));
      else resolve(outcome);
    });
    child.stdin.end(JSON.stringify({ file, isFinal, who }));
  });
}
