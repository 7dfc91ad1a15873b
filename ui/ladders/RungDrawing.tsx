import { drawBench } from '@/core/drawing/bench';
import { drawStill } from '@/core/drawing/still';
import type { Scene } from '@/core/drawing/scene';
import { toPosture, usualValues } from '@/core/posture/handles';
import { computeLoads } from '@/core/posture/loads';
import { InputProblem } from '@/core/problem';
import type { RungPageView } from '@/server/rungPage';
import { SceneView } from '@/ui/drawing/SceneView';
import classes from './ladders.module.css';

const sheet = { widthPx: 760, heightPx: 470 } as const;

/** The rung's nearest shape at the chosen person's size; loads where the model has them. */
export function RungDrawing({ view }: { readonly view: RungPageView }) {
  const { stage, person } = view;
  const scene = drawRung(view);
  if (scene === null)
    return <p className={classes.hint}>This rung has no drawing; the words say it.</p>;
  return (
    <figure className={classes.drawing}>
      <SceneView
        scene={scene}
        label={`${stage.spec.label}${person ? ` at the size of ${person.name}` : ''}`}
      />
    </figure>
  );
}

function drawRung({ stage, body, settings }: RungPageView): Scene | null {
  const { shape } = stage.spec;
  if (shape === undefined) return null;
  const options = { ...sheet, units: settings.units };
  if ('still' in shape) return drawStill(shape.still, body, options);
  try {
    const { family } = shape;
    const values = usualValues(family, body);
    const loads = computeLoads(body, toPosture(family, values));
    return drawBench({ body, family, values, loads }, options);
  } catch (error) {
    // This body cannot be in the shape with the usual distances: the words stay.
    if (error instanceof InputProblem) return null;
    throw error;
  }
}
