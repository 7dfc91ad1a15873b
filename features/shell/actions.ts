'use server';

import { question } from '@/server/action';
import { listFindables } from './find';

export const listFindablesAction = question(listFindables);
