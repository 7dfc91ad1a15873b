/** Ten years of a studio in a folder: the demo course, and hundreds more people with their records. */
import { checkIds } from '@/core/catalog/checks';
import { ladderIds } from '@/core/catalog/stage';
import { getStage, stageIds } from '@/core/catalog/stages';
import { addDays } from '@/core/units/day';
import { addCourse, enrol } from '@/db/courses';
import { openDatabase } from '@/db/open';
import { addPerson, saveRung, saveScreened } from '@/db/personChanges';
import { checkRecord } from '@/db/schema';
import { seedDemo } from '@/demo/course';
import { seededRandom } from '@/demo/random';
import { today } from '@/server/clock';
import { databaseFile } from '@/server/database';
import { drawRecord } from './ladders';

export const tenYears = { people: 500, recordsEach: 500, courses: 20, enrolledEach: 25 } as const;

const { db, close } = openDatabase(databaseFile());
const day = today();
const random = seededRandom(77);
db.transaction((tx) => seedDemo(tx, day));
db.transaction((tx) => {
  const courses = Array.from({ length: tenYears.courses }, (_, index) =>
    addCourse(tx, {
      name: `Course of year ${Math.floor(index / 2) + 1}, ${index % 2 === 0 ? 'spring' : 'autumn'}`,
      place: '',
      startsOn: addDays(day, -180 * (tenYears.courses - index)),
      startsAt: '18:00',
      minutes: 60,
      weeks: 10,
      profile: 'prop-led',
      stage: 'FS10',
    }),
  );
  for (let index = 0; index < tenYears.people; index += 1) {
    const id = addPerson(tx, {
      name: `Person ${String(index).padStart(3, '0')}`,
      heightM: 1.5 + 0.001 * (index % 400),
      heightTyped: '1.7 m',
    });
    saveScreened(tx, id, day);
    enrol(tx, courses[Math.floor(index / tenYears.enrolledEach) % courses.length]!, id);
    for (const family of ladderIds) {
      const rungs = stageIds.filter((stage) => getStage(stage).family === family);
      saveRung(tx, id, family, rungs[Math.floor(random() * rungs.length)]!, day);
    }
    const rows = Array.from({ length: tenYears.recordsEach }, (_, count) => {
      const check = checkIds[Math.floor(random() * checkIds.length)]!;
      const ago = Math.floor(((tenYears.recordsEach - count) * 3600) / tenYears.recordsEach);
      return {
        personId: id,
        check,
        breaths: null,
        faults: [],
        pain: false,
        painPlace: null,
        ...drawRecord(check, addDays(day, -ago), random),
      };
    });
    for (let at = 0; at < rows.length; at += 250) {
      tx.insert(checkRecord)
        .values(rows.slice(at, at + 250))
        .run();
    }
  }
});
close();
