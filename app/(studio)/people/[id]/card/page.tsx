import { CardPage } from '@/features/card/CardPage';
import { initialsOf, teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { findPerson } from '@/db/people';
import { readPersonId } from '@/server/personId';

export const generateMetadata = teacherTitle<{ id: string }>('Set-up card', ({ id }) => {
  const found = findPerson(database(), readPersonId(id) ?? 0);
  return found === null ? null : `Set-up card, ${initialsOf(found.name)}`;
});

export default teacherPage(CardPage);
