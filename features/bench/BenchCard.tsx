import { sayDay } from '@/core/units/day';
import type { BenchScene } from '@/core/drawing/bench';
import type { DialValues } from '@/core/shapes/dials';
import type { ShapeId } from '@/core/shapes/postures';
import { getShape } from '@/core/shapes/registry';
import { getDials } from '@/core/shapes/values';
import type { Day } from '@/core/units/day';
import type { LengthUnits } from '@/core/units/length';
import { SceneView } from '@/design/drawing/SceneView';
import { CautionLine } from '@/design/Page';
import { sayValue } from './dialWords';
import type { BenchFigure } from './figures';
import { sayStack, type CupboardStack } from './StackLine';
import classes from './bench.module.css';

interface BenchCardProps {
  /** Whose set-up; a body by its height alone has a description. */
  readonly who: string;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly scene: BenchScene;
  readonly figures: readonly BenchFigure[];
  readonly notes: readonly string[];
  readonly stack: CupboardStack | null;
  /** Closed to this person today: the paper is to look at. Why is on nobody's paper. */
  readonly isToLookAt: boolean;
  readonly today: Day;
  readonly units: LengthUnits;
}

/** On paper the drawing is 1 to 20. */
const printScale = 20;

/** The bench on paper: whose, which shape, what is set out and by how much, and the drawing. */
export function BenchCard(props: BenchCardProps) {
  const { who, shape, values, scene, figures, notes, stack, isToLookAt, today, units } = props;
  const { label } = getShape(shape);
  return (
    <article className={classes.card} data-print-alone>
      <header className={classes.cardHead}>
        <div>
          <h2>{who}</h2>
          <p>{label}</p>
        </div>
        <p>
          {sayDay(today)}
          <br />
          drawn 1 to {printScale}
        </p>
      </header>
      {isToLookAt && <p className={classes.note}>To look at: not set up today.</p>}
      <SceneView scene={scene} label={label} printScale={printScale} />
      <section>
        <h3>Set out</h3>
        <dl className={classes.cardList}>
          {getDials(shape).map((dial) => (
            <div key={dial.parameter}>
              <dt>{dial.label}</dt>
              <dd>{sayValue(dial, values, units)}</dd>
            </div>
          ))}
        </dl>
        {stack !== null && <p>Out of the cupboard: {sayStack(stack, units)}</p>}
      </section>
      <section>
        <h3>What it asks</h3>
        <dl className={classes.cardList}>
          {figures.map(({ id, label: name, value, like }) => (
            <div key={id}>
              <dt>
                {name}
                {like !== undefined && <small>{like}</small>}
              </dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      </section>
      {notes.map((note) => (
        <p key={note} className={classes.note}>
          {note}
        </p>
      ))}
      <p className={classes.hint}>
        Loads are estimates of a simple model on average proportions. Measure once more where it is
        set up.
      </p>
      <CautionLine />
    </article>
  );
}
