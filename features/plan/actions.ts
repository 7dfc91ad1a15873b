'use server';

import { question, shownAction } from '@/server/action';
import * as change from './change';

export const prepareAgainAction = question(change.prepareAgain);
export const keepPlanAction = shownAction(change.keepPlan);
export const takeFileAction = question(change.takeFile);
export const listCourseClassesAction = question(change.listCourseClasses);
