'use server';

import { createPairing, dropDevice, type Pairing } from './devices';
import { refuse, type Outcome } from './result';
import { run } from './run';

export async function createPairingAction(role: string): Promise<Outcome<Pairing>> {
  try {
    return await createPairing(role);
  } catch (error) {
    console.error('A pairing failed:', error instanceof Error ? error.name : 'unknown');
    return refuse({ form: 'That did not work. Try again.' });
  }
}

export async function dropDeviceAction(id: number): Promise<Outcome> {
  return run(() => dropDevice(id));
}
