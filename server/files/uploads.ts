/** Files on their way in: piece by piece onto the disk, then read from there. */
import {
  appendFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { nowMs } from '../clock';
import { dataFolder } from '../database';

const uploadRule = {
  mostBytes: 400_000_000,
  mostPiece: 4_000_000,
  /** What nobody went on with for so long is dropped. */
  lastsMs: 6 * 3_600_000,
} as const;

const folder = () => path.join(dataFolder(), 'uploads');
const idShape = z.uuid();

/** @returns the file of an upload; `null` for what is no name of one */
export function uploadFile(id: unknown): string | null {
  const parsed = idShape.safeParse(id);
  return parsed.success ? path.join(folder(), `${parsed.data}.part`) : null;
}

export function dropUpload(id: unknown): void {
  const file = uploadFile(id);
  if (file !== null) rmSync(file, { force: true });
}

function dropOld(): void {
  if (!existsSync(folder())) return;
  for (const name of readdirSync(folder())) {
    const file = path.join(folder(), name);
    if (nowMs() - statSync(file).mtimeMs > uploadRule.lastsMs) rmSync(file, { force: true });
  }
}

/**
 * Adds a piece where the file ends so far. A piece that was had before, or comes too early, changes
 * nothing: the answer says where to go on.
 *
 * @returns bytes that are there; `null` when it is too much or no upload
 */
export function addPiece(id: unknown, at: number, piece: Uint8Array): number | null {
  const file = uploadFile(id);
  if (file === null || !Number.isInteger(at) || at < 0) return null;
  mkdirSync(folder(), { recursive: true, mode: 0o700 });
  if (!existsSync(file)) {
    dropOld();
    writeFileSync(file, '', { mode: 0o600 });
  }
  const { size } = statSync(file);
  if (at !== size) return size;
  if (piece.length > uploadRule.mostPiece || size + piece.length > uploadRule.mostBytes) {
    rmSync(file, { force: true });
    return null;
  }
  appendFileSync(file, piece);
  return size + piece.length;
}
