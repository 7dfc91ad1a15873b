/** How copies are kept, as the form changes it. */
import { accessSync, constants, mkdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { keyOf } from '@/db/sealing.mjs';
import { done, refuse, type Outcome } from '../result';
import { work } from '../useCase';
import { makeCopyNow } from './copies';
import { readKeeping, saveKeeping } from './keeping';

const form = z.strictObject({
  folder: z.string().trim().max(500, 'At most 500 signs.'),
  days: z.int('Write a whole number.').min(1, 'At least one day.').max(365, 'At most 365 days.'),
  months: z
    .int('Write a whole number.')
    .min(0, 'Not less than none.')
    .max(120, 'At most 120 months.'),
  /** A new one; empty: as it is. */
  passphrase: z.string().max(200, 'At most 200 signs.'),
  isSealed: z.boolean(),
});

const fewestSigns = 10;

/** A folder of this machine that can be written to; a sentence otherwise. */
function problemWith(folder: string): string | null {
  if (!path.isAbsolute(folder)) return 'Write the whole path, from the root of the disk.';
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    if (!statSync(folder).isDirectory()) return 'This is no folder.';
    accessSync(folder, constants.W_OK);
    return null;
  } catch {
    return 'This folder cannot be made or written to.';
  }
}

export const changeKeeping = work([form], async (_, asked): Promise<Outcome> => {
  const { folder, days, months, passphrase, isSealed } = asked;
  const before = readKeeping();
  if (folder !== '') {
    const problem = problemWith(folder);
    if (problem !== null) return refuse({ folder: problem });
  }
  if (isSealed && passphrase === '' && before.key === null) {
    return refuse({ passphrase: 'Write a passphrase to seal them with.' });
  }
  if (isSealed && passphrase !== '' && passphrase.length < fewestSigns) {
    return refuse({
      passphrase: `At least ${fewestSigns} signs: whoever has the file can try as often as they like.`,
    });
  }
  const key = !isSealed ? null : passphrase === '' ? before.key : await keyOf(passphrase);
  saveKeeping({ folder: folder === '' ? null : folder, days, months, key });
  // What was chosen is tried at once, so that nobody trusts a folder that does not work.
  try {
    await makeCopyNow('hand');
  } catch {
    return refuse({ folder: readKeeping().failed ?? 'No copy could be made there.' });
  }
  return done(undefined);
});
