'use client';

import type { KeptLetter } from '@/core/compose/stations';
import { useEffect, useRef, useState } from 'react';
import type { Wishes } from '@/core/compose/prepared';
import type { PlanFile } from '@/core/files/planFile';
import { beforeOf } from '@/core/compose/readBack';
import { isSeenAnew, mergePlan, planOf, wishesNow } from '@/core/running/follow';
import type { FloorBundle } from '@/server/running/floorBundle';
import { beginComposer, type Composer } from '@/features/evening/composer';
import type { ComposeQuestion } from '@/workers/compose.worker';
import type { Floor } from './useFloor';

export interface Replan {
  readonly status: 'standing' | 'working' | 'failed';
  /** How long the last one took, milliseconds. */
  readonly tookMs: number | null;
}

const patienceMs = 250;

function warmUp({ prepared, plan }: Pick<FloorBundle, 'prepared' | 'plan'>) {
  const own = beginComposer();
  // The order of the drills stands already; without it the wishes are those of a new plan.
  const { order: _, ...wishes } = plan.wishes;
  const warm: ComposeQuestion = { kind: 'warm', prepared, wishes: wishes as Wishes };
  own.ask(warm);
  return { own, isBusy: false };
}

/**
 * Whatever is marked, the rounds to come are planned anew: the change is read from the class
 * itself, so that the assistant's taps count as well. Only the teacher's device plans, and only
 * one page of it.
 */
export function useReplan(floor: Floor, bundle: FloorBundle, isTeacher: boolean): Replan {
  const [status, setStatus] = useState<Replan['status']>('standing');
  const [tookMs, setTook] = useState<number | null>(null);
  const { state, say, link } = floor;
  const asked = useRef('');
  const plan = planOf(state, bundle.plan);
  const wishes = isTeacher
    ? wishesNow(state, bundle.plan, plan, bundle.prepared, bundle.revision, bundle.openedAt)
    : null;
  const isFirstLook = isSeenAnew(state, bundle.plan, plan, bundle.prepared, bundle.revision);
  const key = wishes === null ? '' : JSON.stringify([wishes, bundle.revision]);
  const isReady = link !== 'starting' && state.endedMs === null && plan.rounds.length > 0;
  const composer = useRef<{ readonly own: Composer; isBusy: boolean } | null>(null);
  useEffect(() => {
    if (!isTeacher) return;
    // Before it is needed: whoever stands at the door does not wait for a solver to load.
    composer.current ??= warmUp(bundle);
    return () => {
      composer.current?.own.end();
      composer.current = null;
    };
    // Once a page: what the class goes by may change, but what is loaded stays loaded.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isTeacher]);
  useEffect(() => {
    if (wishes === null || !isReady || key === asked.current) return;
    const began = performance.now();
    // A moment's patience: several are often marked in a row.
    const timer = setTimeout(() => {
      asked.current = key;
      setStatus('working');
      // What is still being solved answers a question that nobody asks any more.
      if (composer.current?.isBusy === true) {
        composer.current.own.end();
        composer.current = null;
      }
      // One in its place is asked at once: it has no time to compose anything else before.
      const now = (composer.current ??= { own: beginComposer(), isBusy: false });
      now.isBusy = true;
      const question: ComposeQuestion = {
        kind: 'compose',
        prepared: bundle.prepared,
        wishes,
        // What was only guessed before anybody was seen need not be kept.
        before: isFirstLook ? {} : beforeOf(plan),
        letters: plan.stations as readonly KeptLetter[],
        withBinding: false,
      };
      let found: PlanFile | undefined;
      now.own.ask(question, (answer) => {
        if ('plan' in answer) found = answer.plan;
        if (answer.kind !== 'proved' && answer.kind !== 'failed') return;
        now.isBusy = false;
        // Without a proof the quick plan holds as well: who is sore does not wait for a solver.
        if (found === undefined) {
          setStatus('failed');
          return;
        }
        void say({ kind: 'plan', plan: { ...mergePlan(plan, found), judged: bundle.revision } });
        setTook(performance.now() - began);
        setStatus('standing');
      });
    }, patienceMs);
    return () => clearTimeout(timer);
    // The key holds everything of the wishes; the plan changes only together with it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isReady]);
  return { status, tookMs };
}
