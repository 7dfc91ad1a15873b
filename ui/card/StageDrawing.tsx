import Link from 'next/link';
import { alternativeTable } from '@/core/catalog/alternatives';
import { getStage } from '@/core/catalog/stages';
import { drawAlternative } from '@/core/drawing/alternative';
import { drawForearmKick } from '@/core/drawing/elevation';
import type { LengthUnits } from '@/core/units/length';
import type { Judgement } from '@/server/judgement';
import { SceneView } from '@/ui/drawing/SceneView';
import classes from '@/ui/person/person.module.css';

interface StageDrawingProps {
  readonly judgement: Judgement;
  readonly units: LengthUnits;
  readonly pxPerM: number;
}

/** A person's shape for tonight from the side; a tap opens the card. */
export function StageDrawing({ judgement, units, pxPerM }: StageDrawingProps) {
  const { person, body, setup, verdict } = judgement;
  const scene = verdict.alternative
    ? drawAlternative(body, verdict.alternative, { pxPerM, units, detail: 'row' })
    : drawForearmKick(body, setup, { pxPerM, units, detail: 'row' });
  const label = verdict.alternative
    ? alternativeTable[verdict.alternative].label
    : getStage(verdict.stage).label;
  return (
    <Link href={`/people/${person.id}/card`} className={classes.figure}>
      <SceneView scene={scene} label={`${label}; open the set-up card`} />
    </Link>
  );
}
