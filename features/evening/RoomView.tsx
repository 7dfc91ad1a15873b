import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import { drawRoomPlan } from '@/core/drawing/roomPlan';
import type { LengthUnits } from '@/core/units/length';
import type { ClassMember } from '@/server/judging/classViews';
import { SceneView } from '@/design/drawing/SceneView';
import { toMarks } from './marks';

interface RoomViewProps {
  readonly plan: PlanFile;
  readonly round: number;
  readonly prepared: PreparedClass;
  readonly members: readonly ClassMember[];
  readonly units: LengthUnits;
  readonly widthPx: number;
  readonly chosen?: string | null;
  readonly withDimensions?: boolean;
  readonly textPx?: number;
  readonly withNames?: boolean;
  /** On paper 1 to this. */
  readonly printScale?: number;
}

/** The room from above in one round. */
export function RoomView(props: RoomViewProps) {
  const { plan, round, prepared, members, units, widthPx, chosen, withDimensions, textPx } = props;
  const scene = drawRoomPlan(prepared.room, prepared.spans, {
    widthPx,
    units,
    marks: toMarks(plan, round, prepared, members),
    ...(withDimensions ? { withDimensions } : {}),
    ...(chosen ? { chosen } : {}),
    ...(textPx === undefined ? {} : { textPx }),
    ...(props.withNames === undefined ? {} : { withNames: props.withNames }),
  });
  const { printScale } = props;
  return (
    <SceneView
      scene={scene}
      label={`The room from above, round ${round + 1}`}
      {...(printScale === undefined ? {} : { printScale })}
    />
  );
}
