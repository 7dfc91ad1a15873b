'use server';

import { dropPassphrase } from './desk/desk';
import type { Outcome } from './result';
import { run } from './run';

export async function dropPassphraseAction(present: string): Promise<Outcome> {
  return run(() => dropPassphrase(present));
}
