'use client';

import { Button, Loader } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import { done, sayProblems } from '@/server/result';
import { browserParts } from './browserParts';
import type { PlannerEngine } from './plannerEngine';
import { beginPlanner } from './beginPlanner';
import classes from './plan.module.css';

interface KeepPlanProps {
  readonly courseId: number;
  readonly day: string;
  readonly wishes: WishesFile;
  readonly revision: number;
  /** The plan that rests on what has changed; absent: there is none yet. */
  readonly stale?: PlanFile;
  /** What has changed, in words. */
  readonly changes?: readonly string[];
}

/** Nothing came back: was it the way there, or the server? */
const whyNotBegun = () =>
  navigator.onLine
    ? 'The plan could not be begun: the studio’s server did not answer. Is it running?'
    : 'The plan could not be begun: this device has no connection.';

/**
 * There is one plan for an evening. Where none is kept yet, or what it rests on has changed, it is
 * composed and kept here, so that Tonight, paper, cards and Floor show the same.
 */
export function KeepPlan({ courseId, day, changes = [], ...start }: KeepPlanProps) {
  const router = useRouter();
  const [gap, setGap] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [attempt, setAttempt] = useState(1);
  // As the page has it now: it may have been read anew since it was opened.
  const latest = useRef(start);
  useEffect(() => {
    latest.current = start;
  });
  useEffect(() => {
    const { stale, ...own } = latest.current;
    const parts = browserParts(courseId, day);
    let isOver = false;
    let engine: PlannerEngine | null = null;
    const begin = async () => {
      const begun = await beginPlanner(
        { ...own, kept: null, ...(stale === undefined ? {} : { stale }) },
        {
          ...parts,
          keep: async (kept, seen) => {
            // Keeping reads the page anew, which ends the worker: only once what binds is known too.
            if (engine?.state.status !== 'done') return done({ revision: seen });
            const outcome = await parts.keep(kept, seen);
            if (!outcome.ok) setProblem(sayProblems(outcome.problems));
            // Kept here or by another window: the page shows what stands.
            router.refresh();
            return outcome;
          },
          tell: setProblem,
        },
      );
      if (isOver) return;
      if (!begun.ok) return setProblem(sayProblems(begun.problems));
      engine = begun.value;
      engine.start(({ gapPercent }) => setGap(gapPercent));
    };
    void begin().catch(() => setProblem(whyNotBegun()));
    return () => {
      isOver = true;
      engine?.end();
    };
  }, [courseId, day, router, attempt]);
  return (
    <p className={classes.keeping} role="status">
      {problem === null && <Loader size="xs" />}
      {changes.length > 0 && <>This changed since the plan was made: {changes.join('; ')}. </>}
      {problem ??
        `Composing ${changes.length > 0 ? 'it anew' : 'the plan of this evening'}${gap === null ? '' : `, ${gap.toFixed(1)} % to go`}`}
      {problem !== null && (
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => {
            setProblem(null);
            setGap(null);
            setAttempt(attempt + 1);
          }}
        >
          Try again
        </Button>
      )}
    </p>
  );
}
