'use server';

import { revalidatePath } from 'next/cache';
import {
  changeBody,
  changeCare,
  changeSettings,
  dropSetup,
  keepSetup,
  notePainGone,
  recordCheck,
  undoRecord,
} from './changes';
import { refuse, type Outcome } from './result';

/** Runs a change; whatever goes wrong inside stays inside, and the screens are read anew. */
async function run<T>(change: () => Outcome<T>): Promise<Outcome<T>> {
  try {
    const outcome = change();
    if (outcome.ok) revalidatePath('/', 'layout');
    return outcome;
  } catch (error) {
    // The name alone: messages may quote what was typed, and that may be about somebody's health.
    console.error('A change failed:', error instanceof Error ? error.name : 'unknown');
    return refuse({ form: 'That did not work and nothing was stored. Try again.' });
  }
}

export async function saveBodyAction(id: number, form: unknown): Promise<Outcome> {
  return run(() => changeBody(id, form));
}

export async function saveCareAction(id: number, form: unknown): Promise<Outcome> {
  return run(() => changeCare(id, form));
}

export async function recordCheckAction(id: number, form: unknown): Promise<Outcome<number>> {
  return run(() => recordCheck(id, form));
}

export async function undoRecordAction(id: number, recordId: number): Promise<Outcome> {
  return run(() => undoRecord(id, recordId));
}

export async function notePainGoneAction(id: number): Promise<Outcome> {
  return run(() => notePainGone(id));
}

export async function saveSettingsAction(form: unknown): Promise<Outcome> {
  return run(() => changeSettings(form));
}

export async function keepSetupAction(id: number, form: unknown): Promise<Outcome<number>> {
  return run(() => keepSetup(id, form));
}

export async function dropSetupAction(id: number, setupId: number): Promise<Outcome> {
  return run(() => dropSetup(id, setupId));
}
