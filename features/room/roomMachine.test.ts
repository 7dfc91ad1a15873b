import type { Room } from '@/core/room/room';
import { guessedRoom } from '@/server/judging/rooms';
import {
  beginRoom,
  canUndo,
  findRoomProblem,
  reduceRoom,
  resize,
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

  it('takes along what stands at a wall that becomes shorter, and stays a room that can be', () => {
    const room: Room = {
      ...guessedRoom,
      widthM: 9.6,
      depthM: 7.2,
      blocked: [{ wall: 'south', fromM: 0, toM: 9.6, what: 'windows' }],
      doors: [{ wall: 'north', fromM: 8.5, toM: 9.4, opensIn: true }],
      low: [
        { xM: 7, yM: 0, widthM: 2, depthM: 7.2, heightM: 2, what: 'beam' },
        { xM: 9, yM: 0, widthM: 0.5, depthM: 1, heightM: 2, what: 'lamp' },
      ],
    };
    const small = resize(room, { widthM: 8 });
    expect(findRoomProblem(small)).toBeNull();
    expect(small.blocked).toMatchObject([{ fromM: 0, toM: 8 }]);
    expect(small.doors).toMatchObject([{ fromM: 7.1, toM: 8 }]);
    expect(small.low).toMatchObject([{ xM: 7, widthM: 1 }]);
    expect(findRoomProblem(resize(room, { widthM: 1, depthM: 1 }))).toBeNull();
    // A room that grows changes nothing but its size.
    expect(resize(room, { widthM: 12 })).toEqual({ ...room, widthM: 12 });
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
    for (const widthM of [-1, 0, 60.05, Number.NaN]) {
      expect(findRoomProblem(wide(widthM))).toBe(
        'A room is at least 1 m and at most 60 m long and wide.',
      );
    }
    expect(
      findRoomProblem({ ...guessedRoom, blocked: [{ wall: 'north', fromM: 3, toM: 2, what: '' }] }),
    ).toEqual(expect.any(String));
    expect([1.02, 1.03, 0.149999].map(tidy)).toEqual([1, 1.05, 0.15]);
  });
});
