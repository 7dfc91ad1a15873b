'use server';

import { createPairing, dropDevice, type Pairing } from './devices';
import type { Outcome } from './result';
import { run } from './run';

export async function createPairingAction(role: string): Promise<Outcome<Pairing>> {
  return run(() => createPairing(role));
}

export async function dropDeviceAction(id: number): Promise<Outcome> {
  return run(() => dropDevice(id));
}
