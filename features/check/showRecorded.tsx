'use client';

import { answered } from '@/design/answered';
import { showUndo } from '@/design/notices';
import { undoRecordAction } from '@/features/person/actions';

const notTakenBack = 'It could not be taken back. Try again where it was done.';

/**
 * Recorded, with the way back beside it.
 *
 * @param onUndone where what was recorded may then be recorded anew
 */
export const showRecorded = (
  personId: number,
  recordId: number,
  label: string,
  onUndone: () => void = () => undefined,
): void =>
  showUndo(`${label} recorded`, async () => {
    const outcome = await answered(undoRecordAction(personId, recordId), notTakenBack);
    if (outcome.ok) onUndone();
    return outcome;
  });
