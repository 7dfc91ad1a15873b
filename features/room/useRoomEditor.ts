'use client';

import { useEffect, useReducer, useRef } from 'react';
import type { Room } from '@/core/room/room';
import { showProblems } from '@/design/notices';
import { changeRoomAction } from './actions';
import { canUndo, findRoomProblem, reduceRoom, resumeRoom, type RoomState } from './roomMachine';

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

// The way back outlives the screen, as long as the room is still the one that was left.
const left = new Map<number, RoomState>();

/** The room being drawn: kept after every change, with the way back. */
export function useRoomEditor(courseId: number, first: Room): RoomEditor {
  const [state, tell] = useReducer(reduceRoom, first, (room) =>
    resumeRoom(left.get(courseId), room),
  );
  const { now } = state.kept;
  useEffect(() => {
    left.set(courseId, state);
  }, [courseId, state]);
  const stored = useRef(first);
  useEffect(() => {
    if (now === stored.current) return;
    stored.current = now;
    if (findRoomProblem(now) !== null) return;
    void changeRoomAction(courseId, now).then((outcome) => {
      if (!outcome.ok) showProblems(outcome.problems);
    });
  }, [courseId, now]);
  return {
    room: state.shown,
    problem: findRoomProblem(state.shown),
    canUndo: canUndo(state),
    preview: (room) => tell({ kind: 'preview', room }),
    commit: (room) => tell({ kind: 'commit', room }),
    undo: () => tell({ kind: 'undo' }),
  };
}
