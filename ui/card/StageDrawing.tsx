import Link from 'next/link';
import { alternativeTable } from '@/core/catalog/alternatives';
import type { StageSpec } from '@/core/catalog/stage';
import { getStageIn } from '@/core/catalog/school';
import { drawAlternative, drawSide } from '@/core/drawing/alternative';
import { drawForearmKick, type ElevationOptions } from '@/core/drawing/elevation';
import type { Scene } from '@/core/drawing/scene';
import type { LengthUnits } from '@/core/units/length';
import type { Judgement } from '@/server/judgement';
import { SceneView } from '@/ui/drawing/SceneView';
import classes from '@/ui/person/person.module.css';

interface StageDrawingProps {
  readonly judgement: Judgement;
  readonly units: LengthUnits;
  readonly pxPerM: number;
}

/** Stages whose set-up is the measured kick at the wall. */
export const isKick = ({ recipe }: StageSpec) => recipe === 'forearm-kick';

export const stageOf = ({ opened, verdict }: Judgement): StageSpec =>
  getStageIn(opened.school, verdict.stage).spec;

/** The stage from the side, or what is done instead. */
export function drawTonight(judgement: Judgement, options: ElevationOptions): Scene {
  const { body, setup, verdict } = judgement;
  if (verdict.alternative) return drawAlternative(body, verdict.alternative, options);
  const spec = stageOf(judgement);
  return isKick(spec) ? drawForearmKick(body, setup, options) : drawSide(body, spec, options);
}

/** A person's shape for tonight from the side; a tap opens the card. */
export function StageDrawing({ judgement, units, pxPerM }: StageDrawingProps) {
  const { person, verdict } = judgement;
  const scene = drawTonight(judgement, { pxPerM, units, detail: 'row' });
  const label = verdict.alternative
    ? alternativeTable[verdict.alternative].label
    : stageOf(judgement).label;
  return (
    <Link href={`/people/${person.id}/card`} className={classes.figure}>
      <SceneView scene={scene} label={`${label}; open the set-up card`} />
    </Link>
  );
}
