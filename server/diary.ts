/** The diary and what was set aside, for the Settings page. */
import { listDiary } from '@/db/desk';
import { listSetAside } from '@/db/setAside';
import { database } from './database';

export const readDiary = (most: number) => listDiary(database(), most);

export const readSetAside = () => listSetAside(database());
