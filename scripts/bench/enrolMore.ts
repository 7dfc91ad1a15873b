import { course, enrolment, person } from '@/db/schema';
import { database } from '@/server/database';

/** More people for the throw-away course that is being measured. */
export function enrolMore(count: number): void {
  const db = database();
  const { id: courseId } = db.select({ id: course.id }).from(course).get()!;
  for (let index = 0; index < count; index += 1) {
    const heightM = 1.5 + index * 0.04;
    const { id: personId } = db
      .insert(person)
      .values({ name: `Extra ${index}`, heightM, heightTyped: `${Math.round(heightM * 100)} cm` })
      .returning({ id: person.id })
      .get();
    db.insert(enrolment).values({ courseId, personId }).run();
  }
}
