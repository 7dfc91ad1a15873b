'use server';

import { action } from '@/server/action';
import { createPairing, dropDevice } from '@/server/network/devices';
import { changeSettings } from './change';
import { dropAside, takeBack } from './setAside';

export const saveSettingsAction = action(changeSettings);
export const createPairingAction = action(createPairing);
export const dropDeviceAction = action(dropDevice);
export const takeBackAction = action(takeBack);
export const dropAsideAction = action(dropAside);
