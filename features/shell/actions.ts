'use server';

import { question } from '@/server/action';
import { listFindables, listRecordables } from './find';

export const listFindablesAction = question(listFindables);
export const listRecordablesAction = question(listRecordables);
