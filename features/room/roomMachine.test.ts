import type { Room } from '@/core/room/room';
import { guessedRoom } from '@/server/judging/rooms';
import {
  beginRoom,
  canUndo,
  findRoomProblem,
  reduceRoom,
  resumeRoom,
  tidy,
  type RoomEvent,
} from './roomMachine';

const wide = (widthM: number): Room => ({ ...guessedRoom, widthM });
const run = (...events: RoomEvent[]) => events.reduce(reduceRoom, beginRoom(guessedRoom));

describe('the room being drawn', () => {
  it('keeps nothing of what is only dragged past', () => {
    const state = run({ kind: 'preview', room: wide(7) }, { kind: 'preview', room: wide(8) });
    expect(state.shown.widthM).toBe(8);
    expect(state.kept.now).toBe(guessedRoom);
  });

  it('goes back over what was dropped, the drag under way first', () => {
    const dropped: RoomEvent[] = [
      { kind: 'commit', room: wide(7) },
      { kind: 'commit', room: wide(8) },
      { kind: 'preview', room: wide(9) },
    ];
    const widths = [0, 1, 2, 3].map((steps) => {
      const undos = Array.from({ length: steps }, (): RoomEvent => ({ kind: 'undo' }));
      return run(...dropped, ...undos).shown.widthM;
    });
    expect(widths).toEqual([9, 8, 7, guessedRoom.widthM]);
    expect(canUndo(run(...dropped))).toBe(true);
    expect(canUndo(run({ kind: 'undo' }))).toBe(false);
  });

  it('keeps the way back for whoever comes again, unless the room is another one', () => {
    const left = run({ kind: 'commit', room: wide(7) }, { kind: 'preview', room: wide(8) });
    const again = resumeRoom(left, wide(7));
    expect(again.shown.widthM).toBe(7);
    expect(canUndo(again)).toBe(true);
    expect(reduceRoom(again, { kind: 'undo' }).shown.widthM).toBe(guessedRoom.widthM);
    expect(canUndo(resumeRoom(left, wide(6)))).toBe(false);
    expect(canUndo(resumeRoom(undefined, wide(7)))).toBe(false);
  });

  it('takes a handle that was put back where it was for no change', () => {
    const state = run(
      { kind: 'preview', room: wide(8) },
      { kind: 'commit', room: wide(guessedRoom.widthM) },
    );
    expect(canUndo(state)).toBe(false);
  });

  it('says what cannot be, and snaps to five centimetres without a tail', () => {
    expect(findRoomProblem(guessedRoom)).toBeNull();
    expect(findRoomProblem(wide(-1))).toEqual(expect.any(String));
    expect(
      findRoomProblem({ ...guessedRoom, blocked: [{ wall: 'north', fromM: 3, toM: 2, what: '' }] }),
    ).toEqual(expect.any(String));
    expect([1.02, 1.03, 0.149999].map(tidy)).toEqual([1, 1.05, 0.15]);
  });
});
