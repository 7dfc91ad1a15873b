/** The room and the shelves of a course, as the screens and the composer read them. */
import type { Room } from '@/core/room/room';
import { roomFile } from '@/core/room/roomFile';
import { readRoom } from '@/db/cupboards';
import type { Db } from '@/db/open';

/** Until somebody has drawn theirs: a plain room, and the screens say that it is a guess. */
export const guessedRoom: Room = roomFile.parse({
  format: 'levitar-room',
  version: 1,
  name: '',
  widthM: 9,
  depthM: 6,
  ceilingM: 2.6,
});

export interface RoomOfCourse {
  readonly room: Room;
  /** Nobody has drawn it yet. */
  readonly isGuessed: boolean;
}

export function findRoom(db: Db, courseId: number): RoomOfCourse {
  const parsed = roomFile.safeParse(readRoom(db, courseId));
  return parsed.success
    ? { room: parsed.data, isGuessed: false }
    : { room: guessedRoom, isGuessed: true };
}
