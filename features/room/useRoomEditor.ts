'use client';

import { answered } from '@/design/answered';
import { useEffect, useReducer, useRef, useState } from 'react';
import type { Room } from '@/core/room/room';
import { showProblems } from '@/design/notices';
import { changeRoomAction, tellTonightAction } from './actions';
import { canUndo, findRoomProblem, reduceRoom, resumeRoom, type RoomState } from './roomMachine';
import type { TonightChange } from './tonight';

export interface RoomEditor {
  readonly room: Room;
  /** What cannot be, in words; nothing is stored while there is something. */
  readonly problem: string | null;
  readonly canUndo: boolean;
  /** What the last change does to the plan of the evening; `null`: nothing was changed yet. */
  readonly tonight: TonightChange | null;
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
  const [told, setTold] = useState<{ readonly room: Room; readonly tonight: TonightChange } | null>(
    null,
  );
  const stored = useRef(first);
  useEffect(() => {
    if (now === stored.current) return;
    stored.current = now;
    if (findRoomProblem(now) !== null) return;
    let isOver = false;
    const keep = async () => {
      const outcome = await answered(changeRoomAction(courseId, now));
      if (!outcome.ok) return showProblems(outcome.problems);
      const answer = await answered(tellTonightAction(courseId));
      if (answer.ok && !isOver) setTold({ room: now, tonight: answer.value });
    };
    void keep();
    return () => {
      isOver = true;
    };
  }, [courseId, now]);
  return {
    room: state.shown,
    problem: findRoomProblem(state.shown),
    canUndo: canUndo(state),
    // What was said of another room says nothing of this one.
    tonight: told?.room === now ? told.tonight : null,
    preview: (room) => tell({ kind: 'preview', room }),
    commit: (room) => tell({ kind: 'commit', room }),
    undo: () => tell({ kind: 'undo' }),
  };
}
