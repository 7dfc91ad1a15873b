/** What a test starts as a process of its own, made ready once: by way of `tsx` each start takes two seconds. */
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

/**
 * Bundles a script before the tests of a file, and throws it away after them.
 *
 * @param entry the script, by its path from the root
 * @returns where it stands: beside the packages, which it takes from where they are
 */
export function withBundled(entry: string): { readonly file: string } {
  const cache = path.join(process.cwd(), 'node_modules', '.cache');
  const file = path.join(cache, `${path.basename(entry, '.ts')}-${process.pid}.mjs`);
  beforeAll(async () => {
    mkdirSync(cache, { recursive: true });
    await build({
      entryPoints: [entry],
      outfile: file,
      bundle: true,
      platform: 'node',
      format: 'esm',
      packages: 'external',
      alias: { '@': process.cwd() },
      logLevel: 'error',
    });
  });
  afterAll(() => rmSync(file, { force: true }));
  return { file };
}
