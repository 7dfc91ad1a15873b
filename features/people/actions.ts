'use server';

import { action, question } from '@/server/action';
import { copyBefore, copyBeforeIfPossible } from '@/server/copies/copies';
import * as change from './change';
import * as table from './importPeople';

export const createPersonAction = action(change.createPerson);
export const renamePersonAction = action(change.renamePerson);
export const archivePeopleAction = action(change.archivePeople);
export const deletePersonAction = action(change.deletePerson);
export const mergePeopleAction = action(change.mergeInto, () => copyBefore('merge'));
export const createRosterAction = action(change.createRoster);
export const placeByWordAction = action(change.placeByWord);
export const placeOnRungAction = action(change.placeOnRung);
export const previewImportAction = question(table.previewImport);
export const importPeopleAction = action(table.importPeople, () => copyBefore('import'));
export const undoImportAction = action(table.undoImport, () => copyBeforeIfPossible('deletion'));
