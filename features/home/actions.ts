'use server';

import { action } from '@/server/action';
import { takeDiary, undoDiary } from './diaryChanges';

export const takeDiaryAction = action(takeDiary);
export const undoDiaryAction = action(undoDiary);
