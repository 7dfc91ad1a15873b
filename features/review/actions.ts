'use server';

import { action } from '@/server/action';
import { agreeWithRest, keepReview, reopenReview, reopenReviews } from './review';

export const keepReviewAction = action(keepReview);
export const agreeWithRestAction = action(agreeWithRest);
export const reopenReviewAction = action(reopenReview);
export const reopenReviewsAction = action(reopenReviews);
