'use server';

import { action, question } from '@/server/action';
import { changeKeeping } from '@/server/copies/change';
import { dropAllCopies, makeCopyNow } from '@/server/copies/copies';
import { lookAtCopy, restoreCopy } from '@/server/copies/restore';
import { done } from '@/server/result';

export const makeCopyAction = action(async () => done(await makeCopyNow('hand')));
export const changeKeepingAction = action(changeKeeping);
export const lookAtCopyAction = question(lookAtCopy);
export const restoreCopyAction = action(restoreCopy);
export const dropCopiesAction = action(() => done(dropAllCopies()));
