import { Link } from '@/design/Link';
import { alternativeTable } from '@/core/catalog/alternatives';
import type { StageSpec } from '@/core/catalog/stage';
import { getStageIn } from '@/core/catalog/school';
import type { ElevationOptions } from '@/core/drawing/elevation';
import { drawStage } from '@/core/drawing/stageSide';
import { drawAlternative } from '@/core/drawing/alternativeSide';
import type { Scene } from '@/core/drawing/scene';
import type { LengthUnits } from '@/core/units/length';
import { rememberFor } from '@/core/units/remember';
import type { Judgement } from '@/server/judging/judgement';
import { SceneView } from '@/design/drawing/SceneView';
import classes from './card.module.css';

interface StageDrawingProps {
  readonly judgement: Judgement;
  readonly units: LengthUnits;
  readonly pxPerM: number;
}

export const stageOf = ({ opened, verdict }: Judgement): StageSpec =>
  getStageIn(opened.school, verdict.stage).spec;

const drawn = rememberFor<Judgement, Scene>();

/** The stage from the side, or what is done instead. */
export const drawTonight = (judgement: Judgement, options: ElevationOptions): Scene =>
  drawn(judgement, JSON.stringify(options), () => drawAnew(judgement, options));

function drawAnew(judgement: Judgement, options: ElevationOptions): Scene {
  const { setupInput, verdict } = judgement;
  return verdict.alternative
    ? drawAlternative(setupInput, verdict.alternative, options)
    : drawStage(setupInput, stageOf(judgement), options);
}

/** A person's shape for tonight from the side; a tap opens the card. */
export function StageDrawing({ judgement, units, pxPerM }: StageDrawingProps) {
  const { person, verdict } = judgement;
  const scene = drawTonight(judgement, { pxPerM, units, detail: 'row' });
  const label = verdict.alternative
    ? alternativeTable[verdict.alternative].label
    : stageOf(judgement).label;
  return (
    <Link href={`/people/${person.id}/card`} className={classes.setupFigure}>
      <SceneView scene={scene} label={`${label}; open the set-up card`} />
    </Link>
  );
}
