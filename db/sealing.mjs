/**
 * Files sealed with a passphrase: one line of JSON that says how, the encrypted bytes, and sixteen
 * bytes that prove nothing was changed, the line included. Only what Node itself brings is used, so
 * that any tool that knows scrypt and AES can open them (docs/formats/sealed.md).
 */
import { createCipheriv, createDecipheriv, randomBytes, scrypt } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  openSync,
  readSync,
  closeSync,
  statSync,
} from 'node:fs';
import { pipeline } from 'node:stream/promises';

const cost = { N: 2 ** 16, r: 8, p: 1 };
const tagBytes = 16;
const mostHeader = 4096;
const format = 'levitar-sealed';

/** What is wrong with a sealed file, in words for whoever opens it. */
export class SealProblem extends Error {
  /** @param {string} words */
  constructor(words) {
    super(words);
    this.name = 'SealProblem';
  }
}

/**
 * @typedef {{ N: number, r: number, p: number, salt: string, key: string }} SealKey
 *   parameters and salt as they go into the header, and the key that follows from them; salt and key in hex
 */

/**
 * The key of a passphrase.
 *
 * @param {string} passphrase
 * @param {{ N: number, r: number, p: number, salt: string }} [given] those of a header; absent: new ones
 * @returns {Promise<SealKey>}
 */
export function keyOf(passphrase, given = { ...cost, salt: randomBytes(16).toString('hex') }) {
  const { N, r, p, salt } = given;
  return new Promise((resolve, reject) => {
    const limits = { N, r, p, maxmem: 512 * 2 ** 20 };
    scrypt(passphrase.normalize('NFKC'), Buffer.from(salt, 'hex'), 32, limits, (error, key) => {
      if (error) reject(error);
      else resolve({ N, r, p, salt, key: key.toString('hex') });
    });
  });
}

/**
 * @param {AsyncIterable<Uint8Array> | Iterable<Uint8Array>} source
 * @param {SealKey} sealKey
 * @param {'studio' | 'studio-file'} holds
 */
export async function* sealStream(source, sealKey, holds) {
  const nonce = randomBytes(12);
  const { N, r, p, salt, key } = sealKey;
  const header = Buffer.from(
    `${JSON.stringify({ format, version: 1, holds, kdf: 'scrypt', N, r, p, salt, cipher: 'aes-256-gcm', nonce: nonce.toString('hex') })}\n`,
  );
  const cipher = createCipheriv('aes-256-gcm', Buffer.from(key, 'hex'), nonce);
  cipher.setAAD(header);
  yield header;
  for await (const piece of source) {
    const sealed = cipher.update(piece);
    if (sealed.length > 0) yield sealed;
  }
  const last = cipher.final();
  if (last.length > 0) yield last;
  yield cipher.getAuthTag();
}

/** @param {string} file @param {string} target @param {SealKey} sealKey */
export async function sealFile(file, target, sealKey) {
  await pipeline(
    sealStream(createReadStream(file, { highWaterMark: 1 << 20 }), sealKey, 'studio'),
    createWriteStream(target, { mode: 0o600, flags: 'wx' }),
  );
}

/**
 * The line that says how a file is sealed; null for a file that is not.
 *
 * @param {string} file
 */
export function readSealHeader(file) {
  const handle = openSync(file, 'r');
  try {
    const start = Buffer.alloc(mostHeader);
    const read = readSync(handle, start, 0, mostHeader, 0);
    const end = start.subarray(0, read).indexOf(10);
    if (end < 0) return null;
    const header = JSON.parse(start.subarray(0, end).toString('utf8'));
    if (header.format !== format) return null;
    if (header.version !== 1 || header.kdf !== 'scrypt' || header.cipher !== 'aes-256-gcm') {
      throw new SealProblem('This file is sealed in a way that this version does not know.');
    }
    const { N, r, p } = header;
    // A header is not believed: it could ask for all the memory there is.
    if (
      ![N, r, p].every(Number.isInteger) ||
      N < 2 ||
      N > 2 ** 20 ||
      r < 1 ||
      r > 16 ||
      p < 1 ||
      p > 4
    ) {
      throw new SealProblem('The head of this file is damaged.');
    }
    return { ...header, bytes: end + 1, line: Buffer.from(start.subarray(0, end + 1)) };
  } catch (error) {
    if (error instanceof SealProblem) throw error;
    return null;
  } finally {
    closeSync(handle);
  }
}

/**
 * Opens a sealed file into another one. What it writes may only be used once it has resolved: until
 * the last byte nothing is proved.
 *
 * @param {string} file
 * @param {string} target
 * @param {{ passphrase?: string, key?: SealKey | null }} by
 * @throws {SealProblem} for a wrong passphrase or a damaged file
 */
export async function unsealFile(file, target, { passphrase, key }) {
  const header = readSealHeader(file);
  if (header === null) throw new SealProblem('This file is not sealed.');
  const isOurs = key !== undefined && key !== null && key.salt === header.salt;
  if (!isOurs && (passphrase === undefined || passphrase === '')) {
    throw new SealProblem('This copy is sealed: it needs its passphrase.');
  }
  const opened = isOurs ? key : await keyOf(passphrase ?? '', header);
  const size = statSync(file).size;
  if (size < header.bytes + tagBytes) throw new SealProblem('This file breaks off.');
  const tag = Buffer.alloc(tagBytes);
  const handle = openSync(file, 'r');
  readSync(handle, tag, 0, tagBytes, size - tagBytes);
  closeSync(handle);
  const decipher = createDecipheriv(
    'aes-256-gcm',
    Buffer.from(opened.key, 'hex'),
    Buffer.from(header.nonce, 'hex'),
    { authTagLength: tagBytes },
  );
  decipher.setAAD(header.line);
  decipher.setAuthTag(tag);
  const out = createWriteStream(target, { mode: 0o600 });
  try {
    if (size === header.bytes + tagBytes) {
      out.end();
      decipher.final();
      return;
    }
    await pipeline(
      createReadStream(file, {
        start: header.bytes,
        end: size - tagBytes - 1,
        highWaterMark: 1 << 20,
      }),
      decipher,
      out,
    );
  } catch {
    throw new SealProblem('The passphrase is wrong, or the file was changed.');
  }
}
