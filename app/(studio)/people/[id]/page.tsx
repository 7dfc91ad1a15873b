import { PersonPage } from '@/features/person/PersonPage';
import { initialsOf, teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { findPerson } from '@/db/people';
import { readPersonId } from '@/server/personId';

export const generateMetadata = teacherTitle<{ id: string }>('Person', ({ id }) => {
  const found = findPerson(database(), readPersonId(id) ?? 0);
  return found === null ? null : `${initialsOf(found.name)}`;
});

export default teacherPage(PersonPage);
