'use server';

import { dropPassphrase } from './desk/desk';
import { dropAside, takeBack } from './diary';
import type { Outcome } from './result';
import { run } from './run';

export async function dropPassphraseAction(present: string): Promise<Outcome> {
  return run(() => dropPassphrase(present));
}

export async function takeBackAction(form: unknown): Promise<Outcome<string>> {
  return run(() => takeBack(form));
}

export async function dropAsideAction(id: number): Promise<Outcome> {
  return run(() => dropAside(id));
}
