import path from 'node:path';
import type { Group } from './files.mjs';

/**
 * Runs the files of a group in this realm, each as a part that bears its name. They are handed in by
 * jest.together.config.js, which looks for them once.
 */
export function runTogether(group: Group): void {
  const { LEVITAR_TOGETHER } = globalThis as unknown as {
    readonly LEVITAR_TOGETHER: Readonly<Record<Group, readonly string[]>>;
  };
  for (const file of LEVITAR_TOGETHER[group]) {
    describe(file, () => {
      jest.requireActual(path.resolve(file));
    });
  }
}
