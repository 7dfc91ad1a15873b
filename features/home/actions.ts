'use server';

import { action } from '@/server/action';
import { takeDiary } from './diaryChanges';

export const takeDiaryAction = action(takeDiary);
