import Link from 'next/link';
import { alternativeTable } from '@/core/catalog/alternatives';
import { drawAlternative } from '@/core/drawing/alternative';
import { drawForearmKick, wallHeightFor } from '@/core/drawing/elevation';
import type { Scene } from '@/core/drawing/scene';
import type { LengthUnits } from '@/core/units/length';
import type { Judgement } from '@/server/judgement';
import { SceneView } from '@/ui/drawing/SceneView';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/ui/marks/VerdictMark';
import classes from './tonight.module.css';

/** One scale for the whole row: that is the point of it. */
const pxPerM = 90;

interface ElevationRowProps {
  readonly people: readonly Judgement[];
  readonly units: LengthUnits;
}

/** Everyone's set-up side by side, to one scale, each against their own piece of wall. */
export function ElevationRow({ people, units }: ElevationRowProps) {
  // Sized by everyone, so that whoever has another shape tonight does not change the row.
  const wallM = Math.max(...people.map(({ body, setup }) => wallHeightFor(body, setup)));
  return (
    <ul className={classes.row} aria-label="Set-ups, one person each">
      {people.map((judgement) => {
        const { person, verdict } = judgement;
        return (
          <li key={person.id} className={classes.cell}>
            <Link href={`/people/${person.id}`} className={classes.link} prefetch={false}>
              <span className={classes.drawing}>
                <SceneView
                  scene={drawFor(judgement, units, wallM)}
                  label={`${person.name}: ${shapeLabel(judgement)}`}
                />
              </span>
              <span className={classes.person}>{person.name}</span>
              <span className={classes.verdict}>
                {verdict.alternative ? <AnotherWayMark /> : <VerdictMark kind={verdict.kind} />}
                {shapeLabel(judgement)}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}

function drawFor({ body, setup, verdict }: Judgement, units: LengthUnits, wallM: number): Scene {
  const options = { pxPerM, units, detail: 'row', wallM } as const;
  return verdict.alternative
    ? drawAlternative(body, verdict.alternative, options)
    : drawForearmKick(body, setup, options);
}

/** A named shape instead, never the reason for it: that stays behind a tap. */
function shapeLabel({ verdict }: Judgement): string {
  if (verdict.alternative) return alternativeTable[verdict.alternative].label;
  return verdictWords[verdict.kind];
}
