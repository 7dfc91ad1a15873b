'use client';

import type { Body } from '@/core/body/body';
import { specOf, type PieceCount } from '@/core/catalog/pieces';
import type { StackRequest } from '@/core/pieces/stack';
import type { ShapeId } from '@/core/shapes/postures';
import type { DialValues } from '@/core/shapes/dials';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { useStack } from './useStack';
import classes from './bench.module.css';

interface StackLineProps {
  readonly body: Body;
  readonly family: ShapeId;
  readonly values: DialValues;
  readonly pieces: readonly PieceCount[];
  readonly units: LengthUnits;
}

/** Elbows and shoulders lie on a platform with a hand's breadth to spare (handbook 04). */
const overM = 0.1;

function requestFor({ body, family, values, pieces }: StackLineProps): StackRequest | null {
  const { outerShoulderWidth, upperArm } = body.lengths;
  const platform: StackRequest['footprintM'] = [outerShoulderWidth + overM, upperArm + overM];
  const [targetM, footprintM]: [number, StackRequest['footprintM']] =
    family === 'shoulderStand' || family === 'plough'
      ? [values.platformM ?? 0, platform]
      : family === 'raisedDog'
        ? [values.supportHeightM ?? 0, [0.4, 0.25]]
        : family === 'liftedTuck'
          ? [values.blockM ?? 0, [0.15, 0.09]]
          : [0, platform];
  return targetM < 0.01 ? null : { targetM, footprintM, pieces };
}

/** What the cupboard makes of the height being dragged, following along. */
export function StackLine(props: StackLineProps) {
  const { units } = props;
  const request = requestFor(props);
  const stack = useStack(request);
  if (request === null || stack === null) return null;
  const { below, above } = stack.nearest;
  return (
    <p className={classes.note} aria-live="polite">
      <strong>From the cupboard:</strong>{' '}
      {stack.found
        ? `${stack.layers.map((layer) => `${layer.count} ${specOf(layer).label.toLowerCase()}`).join(', then ')}: ${formatLength(stack.heightM!, units)}.`
        : `no stack makes ${formatLength(request.targetM, units)}; nearest ${
            [below, above]
              .filter((height) => height !== null)
              .map((height) => formatLength(height, units))
              .join(' or ') || 'none'
          }.`}
    </p>
  );
}
