import { drawBench } from '@/core/drawing/bench';
import type { Scene } from '@/core/drawing/scene';
import { poseStage } from '@/core/drawing/stageSide';
import { drawStillPosed } from '@/core/drawing/still';
import type { RungPageView } from './rungPage';
import { SceneView } from '@/design/drawing/SceneView';
import classes from './ladders.module.css';

const sheet = { widthPx: 760, heightPx: 470 } as const;

/** The rung's nearest shape at the chosen person's size and set-up; loads where the model has them. */
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

function drawRung({ stage, setupInput, recipe: result, settings }: RungPageView): Scene | null {
  const { shape, recipe, label } = stage.spec;
  // Where this body cannot be in the shape at its distances the words stay.
  const posed = poseStage(setupInput, stage.spec, result);
  if (shape === undefined || posed === null) return null;
  const { body } = setupInput;
  const options = { ...sheet, units: settings.units };
  if ('still' in shape || posed.loads === null) {
    const distances = result === null ? {} : { distances: result.distances };
    return drawStillPosed(label, body, posed, { ...options, ...distances });
  }
  return drawBench(
    {
      body,
      shape: shape.family,
      values: posed.values,
      loads: posed.loads,
      ...(posed.along === undefined ? {} : { along: posed.along }),
      ...(recipe === undefined || result === null ? {} : { solved: { setup: recipe, result } }),
    },
    options,
  );
}
