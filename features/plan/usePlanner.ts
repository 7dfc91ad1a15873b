'use client';

import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { toWishes, type WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import type { BeforeById } from '@/core/compose/pose';
import { beforeOf } from '@/core/compose/readBack';
import { keepPlanAction, prepareAgainAction } from './actions';
import { showProblem, showProblems } from '@/design/notices';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';

export type PlanStatus =
  /** As it was kept, nothing running. */
  'kept' | 'starting' | 'proving' | 'asking' | 'done' | 'stopped' | 'failed';

export interface Planner {
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
  readonly plan: PlanFile | null;
  readonly status: PlanStatus;
  /** While proving: how far the best known plan is from what no plan can exceed. */
  readonly gapPercent: number | null;
  /** While asking what binds: so many of so many. */
  readonly asked: readonly [done: number, of: number] | null;
  readonly canUndo: boolean;
  readonly change: (patch: Partial<WishesFile>, how?: Change) => void;
  readonly undo: () => void;
  readonly stop: () => void;
  readonly again: () => void;
}

export interface Change {
  /** People must be judged again: other families, minutes or school. */
  readonly judges?: boolean;
  /** Changes as little of the standing plan as can be. */
  readonly keeps?: boolean;
}

interface Start {
  readonly courseId: number | null;
  readonly day: string;
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
  readonly kept: PlanFile | null;
  readonly revision: number;
}

/** One plan, its wishes and the worker behind it; what is proved is kept for Tonight. */
export function usePlanner(start: Start): Planner {
  const [wishes, setWishes] = useState(start.wishes);
  const [prepared, setPrepared] = useState(start.prepared);
  const [plan, setPlan] = useState(start.kept);
  const [status, setStatus] = useState<PlanStatus>(start.kept === null ? 'starting' : 'kept');
  const [gapPercent, setGap] = useState<number | null>(null);
  const [asked, setAsked] = useState<readonly [number, number] | null>(null);
  const [past, setPast] = useState<readonly { wishes: WishesFile; prepared: PreparedClass }[]>([]);
  const worker = useRef<Worker | null>(null);
  const revision = useRef(start.revision);
  const turn = useRef(0);
  const { courseId, day } = start;

  const keep = useCallback(
    async (wished: WishesFile, made: PlanFile) => {
      if (courseId === null) return;
      const form = { wishes: wished, plan: made, seen: revision.current };
      const outcome = await keepPlanAction(courseId, day, form);
      if (outcome.ok) revision.current = outcome.value;
      else showProblems(outcome.problems);
    },
    [courseId, day],
  );

  const launch = useCallback(
    (wished: WishesFile, ready: PreparedClass, before: BeforeById) => {
      worker.current?.terminate();
      const own = new Worker(new URL('../../workers/compose.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.current = own;
      // Drawn in slices: a plan is some thousand shapes, and the teacher may be dragging meanwhile.
      const answer = (data: ComposeAnswer) => {
        switch (data.kind) {
          case 'quick':
            setPlan(data.plan);
            setStatus('proving');
            return;
          case 'proving':
            setGap(data.gapPercent);
            return;
          case 'proved':
            setPlan(data.plan);
            setStatus('asking');
            return;
          case 'binding':
            setAsked([data.done, data.of]);
            return;
          case 'done':
            setPlan(data.plan);
            setStatus('done');
            void keep(wished, data.plan);
            return;
          case 'failed':
            setStatus('failed');
            showProblem(data.words);
            return;
          case 'bought':
            return;
        }
      };
      own.addEventListener('message', ({ data }: MessageEvent<ComposeAnswer>) =>
        startTransition(() => answer(data)),
      );
      const question: ComposeQuestion = {
        kind: 'compose',
        prepared: ready,
        wishes: toWishes(wished),
        before,
        withBinding: true,
      };
      own.postMessage(question);
    },
    [keep],
  );

  const compose = useCallback(
    (wished: WishesFile, ready: PreparedClass, before: BeforeById) => {
      setStatus('starting');
      setGap(null);
      setAsked(null);
      launch(wished, ready, before);
    },
    [launch],
  );

  useEffect(() => {
    if (start.kept === null) launch(start.wishes, start.prepared, {});
    return () => worker.current?.terminate();
    // Once, for what the page came with: every later change says so itself.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const apply = useCallback(
    async (next: WishesFile, { judges = false, keeps = false }: Change) => {
      turn.current += 1;
      const mine = turn.current;
      setWishes(next);
      let ready = prepared;
      if (judges && courseId !== null) {
        const outcome = await prepareAgainAction(courseId, next);
        if (mine !== turn.current) return;
        if (!outcome.ok) {
          showProblems(outcome.problems);
          return;
        }
        ready = outcome.value;
        setPrepared(ready);
      }
      compose(next, ready, keeps && plan !== null ? beforeOf(plan) : {});
    },
    [compose, courseId, plan, prepared],
  );

  const change = useCallback(
    (patch: Partial<WishesFile>, how: Change = {}) => {
      setPast((list) => [...list.slice(-40), { wishes, prepared }]);
      void apply({ ...wishes, ...patch }, how);
    },
    [apply, prepared, wishes],
  );

  const undo = useCallback(() => {
    const last = past[past.length - 1];
    if (last === undefined) return;
    turn.current += 1;
    setPast((list) => list.slice(0, -1));
    setWishes(last.wishes);
    setPrepared(last.prepared);
    compose(last.wishes, last.prepared, plan === null ? {} : beforeOf(plan));
  }, [compose, past, plan]);

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setStatus('stopped');
    if (plan !== null) void keep(wishes, plan);
  }, [keep, plan, wishes]);

  const again = useCallback(() => compose(wishes, prepared, {}), [compose, prepared, wishes]);

  return {
    wishes,
    prepared,
    plan,
    status,
    gapPercent,
    asked,
    canUndo: past.length > 0,
    change,
    undo,
    stop,
    again,
  };
}
