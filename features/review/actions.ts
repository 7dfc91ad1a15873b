'use server';

import { action } from '@/server/action';
import { keepReview, reopenReview } from './review';

export const keepReviewAction = action(keepReview);
export const reopenReviewAction = action(reopenReview);
