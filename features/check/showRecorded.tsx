'use client';

import { showUndo } from '@/design/notices';
import { undoRecordAction } from '@/features/person/actions';

/** Recorded, with the way back beside it. */
export const showRecorded = (personId: number, recordId: number, label: string): void =>
  showUndo(`${label} recorded`, () => undoRecordAction(personId, recordId));
