'use client';

import { useMemo, useState } from 'react';
import type { ShapeId } from '@/core/shapes/postures';
import type { BenchView } from '@/server/judging/views';
import { beginBench, changeBench, holdBench, turnBench, type BenchState } from './benchMachine';

export { benchInput, type BenchState, type Compare } from './benchMachine';

/** Everything the bench knows; the posture follows each change, or stays at the last possible one. */
export function useBench(view: BenchView, firstPersonId: number | null, firstFamily: ShapeId) {
  const [machine, setMachine] = useState(() => beginBench(view, firstPersonId, firstFamily));
  const held = useMemo(() => holdBench(view, machine), [view, machine]);
  return {
    ...held,
    ghost: held.ghost,
    state: machine.state,
    change: (part: Partial<BenchState>) => setMachine((old) => changeBench(view, old, part)),
    turn: (parameter: string, value: number) =>
      setMachine((old) => turnBench(view, old, parameter, value)),
  };
}

export type Bench = ReturnType<typeof useBench>;
