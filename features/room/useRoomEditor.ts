'use client';

import { useCallback, useState } from 'react';
import { InputProblem } from '@/core/problem';
import { assertRoom, roomFile, type Room } from '@/core/room/room';
import { changeRoomAction } from './actions';
import { showProblems } from '@/design/notices';

/** Everything snaps to five centimetres. */
export const snapM = 0.05;
export const snap = (metres: number): number => Math.round(metres / snapM) * snapM;
/** As files and fields show it: no tail of binary digits. */
export const tidy = (metres: number): number => Math.round(snap(metres) * 100) / 100;

export interface RoomEditor {
  readonly room: Room;
  /** What cannot be, in words; nothing is stored while there is something. */
  readonly problem: string | null;
  readonly canUndo: boolean;
  /** While something is dragged: shown, not stored. */
  readonly preview: (room: Room) => void;
  readonly commit: (room: Room) => void;
  readonly undo: () => void;
}

function findProblem(room: Room): string | null {
  const parsed = roomFile.safeParse(room);
  if (!parsed.success) return parsed.error.issues[0]!.message;
  try {
    assertRoom(room);
    return null;
  } catch (error) {
    if (error instanceof InputProblem) return error.message;
    throw error;
  }
}

/** The room being drawn: kept after every change, with the way back. */
export function useRoomEditor(courseId: number, first: Room): RoomEditor {
  const [room, setRoom] = useState(first);
  const [stored, setStored] = useState(first);
  const [past, setPast] = useState<readonly Room[]>([]);
  const store = useCallback(
    async (next: Room) => {
      if (findProblem(next) !== null) return;
      const outcome = await changeRoomAction(courseId, next);
      if (!outcome.ok) showProblems(outcome.problems);
    },
    [courseId],
  );
  const commit = useCallback(
    (next: Room) => {
      setRoom(next);
      if (JSON.stringify(next) === JSON.stringify(stored)) return;
      setPast((list) => [...list.slice(-60), stored]);
      setStored(next);
      void store(next);
    },
    [store, stored],
  );
  const undo = useCallback(() => {
    const last = past[past.length - 1];
    if (last === undefined) return;
    setPast((list) => list.slice(0, -1));
    setRoom(last);
    setStored(last);
    void store(last);
  }, [past, store]);
  return {
    room,
    problem: findProblem(room),
    canUndo: past.length > 0,
    preview: setRoom,
    commit,
    undo,
  };
}
