'use server';

import { action, question } from '@/server/action';
import * as change from './change';

export const copyProfileAction = action(change.copyProfile);
export const changeProfileAction = action(change.changeProfile);
export const retireProfileAction = action(change.retireProfile);
export const bringProfileBackAction = action(change.bringProfileBack);
export const previewProfileAction = question(change.previewProfile);
export const importProfileAction = action(change.importProfile);
export const keepEntryAction = action(change.keepEntry);
export const dropEntryAction = action(change.dropEntry);
export const importEntriesAction = action(change.importEntries);
