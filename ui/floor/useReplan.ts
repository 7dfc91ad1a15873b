'use client';

import { useEffect, useRef, useState } from 'react';
import { beforeOf } from '@/core/compose/readBack';
import { mergePlan, planOf, wishesNow } from '@/core/floor/follow';
import type { FloorBundle } from '@/server/floorBundle';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import type { Floor } from './useFloor';

export interface Replan {
  readonly status: 'standing' | 'working' | 'failed';
  /** How long the last one took, milliseconds. */
  readonly tookMs: number | null;
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
  const wishes = isTeacher ? wishesNow(state, bundle.plan, plan, bundle.prepared) : null;
  const key = wishes === null ? '' : JSON.stringify([wishes, bundle.revision]);
  const isReady = link !== 'starting' && state.endedMs === null && plan.rounds.length > 0;
  useEffect(() => {
    if (wishes === null || !isReady || key === asked.current) return;
    const began = performance.now();
    let worker: Worker | null = null;
    // A moment's patience: several are often marked in a row.
    const timer = setTimeout(() => {
      asked.current = key;
      setStatus('working');
      worker = new Worker(new URL('../../workers/compose.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.onmessage = ({ data }: MessageEvent<ComposeAnswer>) => {
        if (data.kind === 'proved') {
          void say({ kind: 'plan', plan: mergePlan(plan, data.plan) });
          setTook(performance.now() - began);
          setStatus('standing');
          worker?.terminate();
        }
        if (data.kind === 'failed') {
          setStatus('failed');
          worker?.terminate();
        }
      };
      worker.onerror = () => setStatus('failed');
      const question: ComposeQuestion = {
        kind: 'compose',
        prepared: bundle.prepared,
        wishes,
        before: beforeOf(plan),
        withBinding: false,
      };
      worker.postMessage(question);
    }, 250);
    return () => clearTimeout(timer);
    // The key holds everything of the wishes; the plan changes only together with it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isReady]);
  return { status, tookMs };
}
