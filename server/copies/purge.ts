/** Who was deleted is taken out of the copies as well. */
import { renameSync, rmSync } from 'node:fs';
import { removeDatabase } from '@/db/copyWork.mjs';
import { purgeCopies, type Gone } from '@/db/removal';
import { readSealHeader, sealFile, unsealFile } from '@/db/sealing.mjs';
import { listCopies, type Copy } from './copies';
import { readKeeping } from './keeping';

/**
 * Sealed copies are opened where the key is here; the others keep somebody until they are opened:
 * taking one back always leaves out whoever was deleted since.
 *
 * @returns names of copies that still hold them
 */
export async function purgeEverywhere(gone: readonly Gone[]): Promise<string[]> {
  const left = new Set<string>();
  for (const copy of listCopies()) {
    const isClean = copy.isSealed
      ? await purgeSealed(copy, gone)
      : gone.every((one) => purgeCopies([copy.file], one).length === 0);
    if (!isClean) left.add(copy.name);
    // Whoever taps meanwhile is not kept waiting for all of them.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return [...left];
}

async function purgeSealed({ file }: Copy, gone: readonly Gone[]): Promise<boolean> {
  const { key } = readKeeping();
  const [plain, sealed] = [`${file}.open.part`, `${file}.sealed.part`];
  try {
    if (key === null || readSealHeader(file)?.salt !== key.salt) return false;
    removeDatabase(plain);
    rmSync(sealed, { force: true });
    await unsealFile(file, plain, { key });
    if (gone.some((one) => purgeCopies([plain], one).length > 0)) return false;
    await sealFile(plain, sealed, key);
    renameSync(sealed, file);
    return true;
  } catch {
    return false;
  } finally {
    removeDatabase(plain);
    rmSync(sealed, { force: true });
  }
}
