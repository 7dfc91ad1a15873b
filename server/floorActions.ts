'use server';

import { beginClass } from './floor';
import { joinClass } from './floorJoin';
import type { Outcome } from './result';
import { keepReview, reopenReview } from './review';
import { run } from './run';

export async function beginClassAction(course: number): Promise<Outcome<string>> {
  return run(() => beginClass(course));
}

export async function joinClassAction(uid: string, form: unknown): Promise<Outcome<string>> {
  return run(() => joinClass(uid, form));
}

export async function keepReviewAction(
  uid: string,
  person: number,
  form: unknown,
): Promise<Outcome> {
  return run(() => keepReview(uid, person, form));
}

export async function reopenReviewAction(uid: string, person: number): Promise<Outcome> {
  return run(() => reopenReview(uid, person));
}
