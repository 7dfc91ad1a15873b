'use server';

import { dropAllCopies, makeCopyNow } from './copies/copies';
import { changeKeeping } from './copies/change';
import { lookAtCopy, restoreCopy, type RestoreLook } from './copies/restore';
import { done, type Outcome } from './result';
import { look, run } from './run';

export async function makeCopyAction(): Promise<Outcome<string>> {
  return run(async () => done(await makeCopyNow('hand')));
}

export async function changeKeepingAction(form: unknown): Promise<Outcome> {
  return run(() => changeKeeping(form));
}

export async function lookAtCopyAction(form: unknown): Promise<Outcome<RestoreLook>> {
  return look(() => lookAtCopy(form));
}

export async function restoreCopyAction(form: unknown): Promise<Outcome<string | null>> {
  return run(() => restoreCopy(form));
}

export async function dropCopiesAction(): Promise<Outcome<number>> {
  return run(() => done(dropAllCopies()));
}
