'use client';

import type { Outcome } from '@/server/result';

/** Sends a form of the desk; what cannot be reached is a problem like any other. */
export async function postDesk<T>(path: string, form: object): Promise<Outcome<T>> {
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(form),
    });
    return (await response.json()) as Outcome<T>;
  } catch {
    return { ok: false, problems: { form: 'The studio’s computer did not answer. Try again.' } };
  }
}
