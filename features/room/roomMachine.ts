/** The room as it is drawn: what is shown, what is kept, and the way back. */
import { InputProblem } from '@/core/problem';
import { assertRoom, wallLength, type Room } from '@/core/room/room';
import { beginHistory, canGoBack, goBack, goOn, type History } from '@/design/history';

/** Everything snaps to five centimetres. */
export const snapM = 0.05;
const snap = (metres: number): number => Math.round(metres / snapM) * snapM;
/** As files and fields show it: no tail of binary digits. */
export const tidy = (metres: number): number => Math.round(snap(metres) * 100) / 100;

export interface RoomState {
  /** While something is dragged: ahead of what is kept. */
  readonly shown: Room;
  readonly kept: History<Room>;
}

export type RoomEvent =
  | { readonly kind: 'preview'; readonly room: Room }
  | { readonly kind: 'commit'; readonly room: Room }
  | { readonly kind: 'undo' };

export const beginRoom = (room: Room): RoomState => ({ shown: room, kept: beginHistory(room) });

const isSame = (a: Room, b: Room) => JSON.stringify(a) === JSON.stringify(b);

/** A room opened again: with its way back, unless somebody has changed it elsewhere meanwhile. */
export const resumeRoom = (left: RoomState | undefined, room: Room): RoomState =>
  left !== undefined && isSame(left.kept.now, room) ? { ...left, shown: room } : beginRoom(room);

export function reduceRoom(state: RoomState, event: RoomEvent): RoomState {
  switch (event.kind) {
    case 'preview':
      return { ...state, shown: event.room };
    case 'commit':
      return {
        shown: event.room,
        kept: isSame(event.room, state.kept.now) ? state.kept : goOn(state.kept, event.room),
      };
    case 'undo': {
      // Something that was being dragged goes first.
      if (!isSame(state.shown, state.kept.now)) return { ...state, shown: state.kept.now };
      const kept = goBack(state.kept);
      return { shown: kept.now, kept };
    }
  }
}

export const canUndo = ({ shown, kept }: RoomState): boolean =>
  canGoBack(kept) || !isSame(shown, kept.now);

/**
 * The room in another size: what stood at a wall that has become shorter stays as far as there is
 * wall, a door keeps its width, and what lies outside altogether is gone.
 */
export function resize(room: Room, size: Partial<Pick<Room, 'widthM' | 'depthM'>>): Room {
  const next = { ...room, ...size };
  const fit = <T extends Room['doors'][number] | Room['blocked'][number]>(one: T): T[] => {
    const toM = Math.min(one.toM, wallLength(next, one.wall));
    return toM - one.fromM < snapM - 1e-9 ? [] : [{ ...one, toM: tidy(toM) }];
  };
  const move = (one: Room['doors'][number]) => {
    const over = Math.max(0, one.toM - wallLength(next, one.wall));
    return { ...one, fromM: tidy(Math.max(0, one.fromM - over)), toM: tidy(one.toM - over) };
  };
  return {
    ...next,
    blocked: room.blocked.flatMap(fit),
    doors: room.doors.map(move).flatMap(fit),
    low: room.low.flatMap((one) => {
      const widthM = tidy(Math.min(one.widthM, next.widthM - one.xM));
      const depthM = tidy(Math.min(one.depthM, next.depthM - one.yM));
      return widthM < snapM - 1e-9 || depthM < snapM - 1e-9 ? [] : [{ ...one, widthM, depthM }];
    }),
  };
}

/** What cannot be, in words; nothing is stored while there is something. */
export function findRoomProblem(room: Room): string | null {
  try {
    assertRoom(room);
    return null;
  } catch (error) {
    if (error instanceof InputProblem) return error.message;
    throw error;
  }
}
