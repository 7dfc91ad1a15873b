'use server';

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
import { dropClearance, dropSign, noteClearance, noteScreened, noteSign } from './careChanges';
import { decide } from './decisions';
import { placeOnRung } from './peopleChanges';
import type { Outcome } from './result';
import { run } from './run';

export async function saveBodyAction(id: number, form: unknown, seen?: unknown): Promise<Outcome> {
  return run(() => changeBody(id, form, seen));
}

export async function saveCareAction(id: number, form: unknown, seen?: unknown): Promise<Outcome> {
  return run(() => changeCare(id, form, seen));
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

export async function noteClearanceAction(id: number, form: unknown): Promise<Outcome<number>> {
  return run(() => noteClearance(id, form));
}

export async function dropClearanceAction(id: number, note: number): Promise<Outcome> {
  return run(() => dropClearance(id, note));
}

export async function noteSignAction(id: number, form: unknown): Promise<Outcome<number>> {
  return run(() => noteSign(id, form));
}

export async function dropSignAction(id: number, sign: number): Promise<Outcome> {
  return run(() => dropSign(id, sign));
}

export async function noteScreenedAction(id: number): Promise<Outcome> {
  return run(() => noteScreened(id));
}

export async function placeOnRungAction(id: number, form: unknown): Promise<Outcome> {
  return run(() => placeOnRung(id, form));
}

export async function decideAction(id: number, form: unknown): Promise<Outcome<number>> {
  return run(() => decide(id, form));
}
