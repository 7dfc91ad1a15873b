'use client';

import { useRouter } from 'next/navigation';
import { startTransition, useEffect, useState } from 'react';
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import { browserParts } from './browserParts';
import { PlannerEngine, type PlannerState } from './plannerEngine';

export type { Change, PlanStatus } from './plannerEngine';

export interface Planner
  extends PlannerState, Pick<PlannerEngine, 'change' | 'undo' | 'stop' | 'again' | 'keepAgain'> {}

interface Start {
  /** `null`: a class that came from a file; nothing of it is kept. */
  readonly courseId: number | null;
  readonly day: string;
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
  readonly kept: PlanFile | null;
  readonly revision: number;
}

/** The engine as this screen has it, and what the other screens show meanwhile. */
function beginHere(start: Start, readAnew: () => void) {
  const { keep, ...parts } = browserParts(start.courseId, start.day);
  let isLeft = false;
  let isKept = false;
  const keepHere: NonNullable<typeof keep> = async (plan, seen) => {
    const outcome = await keep!(plan, seen);
    if (!outcome.ok) return outcome;
    // It stands on this screen already. Whoever came without a plan, or went on meanwhile, has
    // something older before them.
    if (isLeft || (start.kept === null && !isKept)) readAnew();
    isKept = true;
    return outcome;
  };
  return {
    engine: new PlannerEngine(start, { ...parts, keep: keep === null ? null : keepHere }),
    come: () => {
      isLeft = false;
    },
    /** Whoever comes back to another screen, or to this one, sees the plan as it is kept. */
    leave: () => {
      isLeft = true;
      if (isKept) readAnew();
    },
  };
}

/** One plan, its wishes and the worker behind it; what is proved is kept for Tonight. */
export function usePlanner(start: Start): Planner {
  const router = useRouter();
  const [{ engine, come, leave }] = useState(() => beginHere(start, () => router.refresh()));
  const [state, setState] = useState(engine.state);
  useEffect(() => {
    come();
    engine.start((next, isDrawn) => {
      // In slices: the teacher may be dragging meanwhile.
      if (isDrawn) startTransition(() => setState(next));
      else setState(next);
    });
    return () => {
      engine.end();
      leave();
    };
  }, [engine, come, leave]);
  const { change, undo, stop, again, keepAgain } = engine;
  return { ...state, change, undo, stop, again, keepAgain };
}
