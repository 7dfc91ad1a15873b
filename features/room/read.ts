/** The room and the shelves of a course for the Room screen. */
import type { PieceSpec } from '@/core/catalog/pieces';
import type { Room } from '@/core/room/room';
import { getSettings, listCourses, findCourse, type CourseRow, type Settings } from '@/db/courses';
import { listCupboard, listOwnPieces, type CupboardLine } from '@/db/cupboards';
import { listCoursePeople } from '@/db/people';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { findRoom } from '@/server/judging/rooms';
import { findNextCourse } from '@/server/judging/views';

export interface RoomView {
  readonly course: Pick<CourseRow, 'id' | 'name'>;
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly room: Room;
  readonly isGuessed: boolean;
  readonly cupboard: readonly CupboardLine[];
  readonly own: readonly { readonly piece: string; readonly spec: PieceSpec }[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly settings: Settings;
}

export function readRoomView(courseId: number | null): RoomView | null {
  const db = database();
  const course = courseId === null ? findNextCourse(db, today()) : findCourse(db, courseId);
  if (course === null) return null;
  const { room, isGuessed } = findRoom(db, course.id);
  return {
    course: { id: course.id, name: course.name },
    courses: listCourses(db).map(({ id, name }) => ({ id, name })),
    room,
    isGuessed,
    cupboard: listCupboard(db, course.id),
    own: listOwnPieces(db).map(({ piece, spec }) => ({ piece, spec })),
    people: listCoursePeople(db, course.id).map(({ id, name }) => ({ id: String(id), name })),
    settings: getSettings(db),
  };
}
