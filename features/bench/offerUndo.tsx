'use client';

import { showUndo } from '@/design/notices';
import { dropSetupAction } from '@/features/person/actions';

/** Says that something was kept, with the way back. */
export const offerUndo = (
  person: { readonly id: number; readonly name: string },
  setupId: number,
): void => showUndo(`Kept for ${person.name}.`, () => dropSetupAction(person.id, setupId));
