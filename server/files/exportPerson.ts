import { listPersonMeetings } from '@/db/courses';
import { listDecisions } from '@/db/decisions';
import { listAttempts, listUpsideTime } from '@/db/floor';
import { listHomeReports } from '@/db/homeReports';
import { findPerson } from '@/db/people';
import { findJpeg, listPictures } from '@/db/pictures';
import { listRecords } from '@/db/records';
import { listSetups } from '@/db/setups';
import { database } from '../database';

/** Everything the studio holds about one person; `null` when there is no such person. */
export function exportPerson(id: number) {
  const db = database();
  const person = findPerson(db, id);
  if (person === null) return null;
  const { id: _, revision: __, ...entry } = person;
  const own = <T extends { id: number; personId: number }>({
    id: _id,
    personId: _person,
    ...rest
  }: T) => rest;
  return {
    format: 'levitar-person',
    version: 1,
    person: entry,
    records: listRecords(db, [id]).map(own),
    setups: listSetups(db, [id]).map(own),
    decisions: listDecisions(db, id).map(own),
    attempts: listAttempts(db, [id]).map(own),
    upside: listUpsideTime(db, [id]).map(own),
    // With the pictures themselves: they are this person's own.
    pictures: listPictures(db, id).map(({ id: picture, hasPicture: _has, ...rest }) => ({
      ...rest,
      jpeg: findJpeg(db, picture)?.toString('base64') ?? null,
    })),
    homeReports: listHomeReports(db, id),
    evenings: listPersonMeetings(db, id).map(({ meetingId: _meeting, ...rest }) => rest),
  };
}
