'use client';

import type { Body } from '@/core/body/body';
import type { PieceCount } from '@/core/catalog/pieces';
import type { Stack, StackRequest } from '@/core/pieces/stack';
import { stackUnder } from '@/core/pieces/underWeight';
import type { ShapeId } from '@/core/shapes/postures';
import type { DialValues } from '@/core/shapes/dials';
import { getDials } from '@/core/shapes/values';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { sayLayers } from './stackWords';
import { useStack } from './useStack';
import classes from './bench.module.css';

interface StackInput {
  readonly body: Body;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly pieces: readonly PieceCount[];
}

/** Under a centimetre nothing is laid out. */
const leastM = 0.01;

interface Asked {
  readonly request: StackRequest;
  readonly times: number;
}

function requestFor({ body, shape, values, pieces }: StackInput): Asked | null {
  const dial = getDials(shape).find(({ stacks }) => stacks !== undefined);
  const targetM = dial === undefined ? 0 : (values[dial.parameter] ?? 0);
  if (dial?.stacks === undefined || targetM < leastM) return null;
  const under = dial.stacks(body);
  return { request: stackUnder(under, targetM, pieces), times: under.times ?? 1 };
}

export interface CupboardStack {
  readonly targetM: number;
  readonly stack: Stack;
  /** The same so many times over. */
  readonly times: number;
}

/** What the cupboard makes of the height being dragged, following along; `null`: nothing to stack. */
export function useCupboardStack(input: StackInput): CupboardStack | null {
  const asked = requestFor(input);
  const stack = useStack(asked?.request ?? null);
  if (asked === null || stack === null) return null;
  return { targetM: asked.request.targetM, stack, times: asked.times };
}

/** The stack in words: what lies on what, or what comes nearest. */
export function sayStack({ targetM, stack, times }: CupboardStack, units: LengthUnits): string {
  if (stack.found) {
    const each = times === 1 ? '' : ', the same on either side';
    return `${sayLayers(stack.layers)}: ${formatLength(stack.heightM!, units)}${each}.`;
  }
  const nearest = [stack.nearest.below, stack.nearest.above]
    .filter((height) => height !== null)
    .map((height) => formatLength(height, units))
    .join(' or ');
  return `no stack makes ${formatLength(targetM, units)}; nearest ${nearest || 'none'}.`;
}

interface StackLineProps {
  readonly stack: CupboardStack | null;
  readonly units: LengthUnits;
}

export const StackLine = ({ stack, units }: StackLineProps) =>
  stack === null ? null : (
    <p className={classes.note} aria-live="polite">
      <strong>From the cupboard:</strong> {sayStack(stack, units)}
    </p>
  );
