'use client';

import { startTransition, useEffect, useState } from 'react';
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import { browserParts } from './browserParts';
import { PlannerEngine, type PlannerState } from './plannerEngine';

export type { Change, PlanStatus } from './plannerEngine';

export interface Planner
  extends PlannerState, Pick<PlannerEngine, 'change' | 'undo' | 'stop' | 'again'> {}

interface Start {
  /** `null`: a class that came from a file; nothing of it is kept. */
  readonly courseId: number | null;
  readonly day: string;
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
  readonly kept: PlanFile | null;
  readonly revision: number;
}

/** One plan, its wishes and the worker behind it; what is proved is kept for Tonight. */
export function usePlanner(start: Start): Planner {
  const [engine] = useState(
    () => new PlannerEngine(start, browserParts(start.courseId, start.day)),
  );
  const [state, setState] = useState(engine.state);
  useEffect(() => {
    engine.start((next, isDrawn) => {
      // In slices: the teacher may be dragging meanwhile.
      if (isDrawn) startTransition(() => setState(next));
      else setState(next);
    });
    return () => engine.end();
  }, [engine]);
  const { change, undo, stop, again } = engine;
  return { ...state, change, undo, stop, again };
}
