/** Digests of what opens the desk: scrypt, its parameters and salt kept with each. */
import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';

const cost = { N: 2 ** 15, r: 8, p: 1 } as const;
const bytes = 32;

const derive = (secret: string, salt: Buffer, options: ScryptOptions): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const limits = { ...options, maxmem: 256 * 2 ** 20 };
    scrypt(secret.normalize('NFKC'), salt, bytes, limits, (error, key) =>
      error === null ? resolve(key) : reject(error),
    );
  });

/** @returns `scrypt$N$r$p$salt$digest` */
export async function digestOf(secret: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(secret, salt, cost);
  const { N, r, p } = cost;
  return ['scrypt', N, r, p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

export async function isDigestOf(secret: string, digest: string): Promise<boolean> {
  const [kind, N, r, p, salt, key] = digest.split('$');
  if (kind !== 'scrypt' || salt === undefined || key === undefined) return false;
  const own = Buffer.from(key, 'base64url');
  const given = await derive(secret, Buffer.from(salt, 'base64url'), {
    N: Number(N),
    r: Number(r),
    p: Number(p),
  });
  return own.length === given.length && timingSafeEqual(own, given);
}
