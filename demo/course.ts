import type { PieceCount } from '@/core/catalog/pieces';
import { addDays, daysBetween, type Day } from '@/core/units/day';
import type { Db } from '@/db/open';
import { addRecord } from '@/db/records';
import { course, cupboard, enrolment, person, personCaution, personLength } from '@/db/schema';
import { demoPeople } from './people';
import { seededRandom } from './random';
import { demoRecords } from './records';

/** Fixed, so that the demo is the same course everywhere. */
const seed = 20411;
const weekOfCourse = 5;

const pieces: readonly PieceCount[] = [
  { piece: 'foam-block', count: 9 },
  { piece: 'thin-foam-block', count: 2 },
  { piece: 'cork-block', count: 3 },
  { piece: 'flat-foam', count: 6 },
  { piece: 'shoulder-pad', count: 8 },
  { piece: 'blanket', count: 12 },
  { piece: 'bolster-rectangular', count: 4 },
  { piece: 'bolster-round', count: 2 },
  { piece: 'strap-180', count: 4 },
  { piece: 'strap-240', count: 3 },
  { piece: 'chair', count: 5 },
  { piece: 'mat', count: 14 },
];

/** The Thursday on or after a day. 1970-01-01 was one. */
export function comingThursday(today: Day): Day {
  const past = daysBetween('1970-01-01', today) % 7;
  return addDays(today, (7 - past) % 7);
}

/**
 * Fills an empty database with the made-up Thursday course in its fifth week: fourteen people and
 * eight weeks of records, every date counted back from the coming Thursday.
 */
export function seedDemo(db: Db, today: Day): void {
  const random = seededRandom(seed);
  const coming = comingThursday(today);
  const lastMeeting = addDays(coming, -7);
  db.transaction((tx) => {
    const { id: courseId } = tx
      .insert(course)
      .values({
        name: 'Thursday, upside down',
        place: 'The Oakum Loft',
        startsOn: addDays(coming, -7 * (weekOfCourse - 1)),
        startsAt: '18:30',
        minutes: 75,
        profile: 'prop-led',
        stage: 'FS10',
      })
      .returning({ id: course.id })
      .get();
    tx.insert(cupboard)
      .values(pieces.map((piece) => ({ courseId, ...piece })))
      .run();
    for (const invented of demoPeople) {
      const { id: personId } = tx
        .insert(person)
        .values({
          name: invented.name,
          heightM: invented.heightM,
          heightTyped: invented.heightTyped,
          massKg: invented.massKg ?? null,
          consent: invented.consent,
          presentStage: invented.presentStage,
        })
        .returning({ id: person.id })
        .get();
      tx.insert(enrolment).values({ courseId, personId }).run();
      for (const [length, metres] of Object.entries(invented.lengths ?? {})) {
        tx.insert(personLength)
          .values({
            personId,
            length: length as keyof typeof invented.lengths,
            metres,
            typed: String(Math.round(metres * 1000) / 10),
          })
          .run();
      }
      for (const caution of invented.cautions ?? []) {
        tx.insert(personCaution).values({ personId, caution, notedOn: lastMeeting }).run();
      }
      for (const record of demoRecords(invented, lastMeeting, random)) {
        addRecord(tx, { personId, ...record });
      }
    }
  });
}
