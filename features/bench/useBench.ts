'use client';

import { useMemo, useState } from 'react';
import type { ShapeId } from '@/core/shapes/postures';
import type { StillId } from '@/core/shapes/stills';
import type { BenchView } from '@/server/judging/views';
import { beginBench, changeBench, holdBench, turnBench, type BenchState } from './benchMachine';

export { benchInput, type BenchState, type Compare } from './benchMachine';

/** Who and what it opens with, as the address says it. */
export interface BenchStart {
  readonly personId: number | null;
  readonly shape: ShapeId;
  /** A drawing without loads, in place of the shape. */
  readonly still: StillId | null;
  /** Of a body nobody has entered. */
  readonly heightM?: number;
}

/** Everything the bench knows; the posture follows each change, or stays at the last possible one. */
export function useBench(view: BenchView, { personId, shape, heightM }: BenchStart) {
  const [machine, setMachine] = useState(() => beginBench(view, personId, shape, heightM));
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
