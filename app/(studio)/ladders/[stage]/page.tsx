import { RungPage } from '@/features/ladders/RungPage';
import { teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { readCatalog } from '@/server/judging/schools';

export const generateMetadata = teacherTitle<{ stage: string }>(
  'A rung',
  ({ stage }) => readCatalog(database()).stages[stage]?.label ?? null,
);

export default teacherPage(RungPage);
