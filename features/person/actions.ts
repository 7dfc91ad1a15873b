'use server';

import { action } from '@/server/action';
import * as care from './careChanges';
import * as change from './change';
import { decide, undoDecision } from './decisions';
import * as setups from './setups';

export const saveBodyAction = action(change.changeBody);
export const saveCareAction = action(change.changeCare);
export const recordCheckAction = action(change.recordCheck);
export const undoRecordAction = action(change.undoRecord);
export const notePainGoneAction = action(change.notePainGone);
export const undoPainGoneAction = action(change.undoPainGone);
export const keepSetupAction = action(setups.keepSetup);
export const dropSetupAction = action(setups.dropSetup);
export const noteClearanceAction = action(care.noteClearance);
export const dropClearanceAction = action(care.dropClearance);
export const noteSignAction = action(care.noteSign);
export const dropSignAction = action(care.dropSign);
export const noteScreenedAction = action(care.noteScreened);
export const undoScreenedAction = action(care.undoScreened);
export const decideAction = action(decide);
export const undoDecisionAction = action(undoDecision);
