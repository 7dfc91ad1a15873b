import { isKeyOf } from '@/core/units/keyed';
import { RungPage } from '@/features/ladders/RungPage';
import { teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { readCatalog } from '@/server/judging/schools';

export const generateMetadata = teacherTitle<{ stage: string }>('A rung', ({ stage }) => {
  const { stages } = readCatalog(database());
  return isKeyOf(stages, stage) ? (stages[stage]?.label ?? null) : null;
});

export default teacherPage(RungPage);
