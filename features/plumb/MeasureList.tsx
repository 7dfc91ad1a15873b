import { faultTable } from '@/core/catalog/checks';
import { stillMeasureIds, getMeasure } from '@/core/plumb/measureTable';
import type { StillReading } from '@/core/plumb/still';
import { sayError, sayExpected, sayValue, sayWhy } from '@/core/plumb/words';
import type { LengthUnits } from '@/core/units/length';
import { firstUp } from '@/core/units/words';
import classes from './plumb.module.css';

interface MeasureListProps {
  readonly reading: StillReading;
  readonly units: LengthUnits;
}

/** What the picture says in a sentence, before its figures: what is forced, and what looks wrong. */
export function Summary({ reading }: Pick<MeasureListProps, 'reading'>) {
  const { faults } = reading;
  const forced = sayExpected(reading);
  if (forced === null && faults.length === 0) return null;
  return (
    <section aria-label="In a sentence">
      {forced !== null && <p className={classes.forced}>{forced}</p>}
      {faults.length > 0 && (
        <p className={classes.problem}>
          It looks as if: {faults.map(({ fault }) => faultTable[fault].label).join(', ')}. Your eye
          decides.
        </p>
      )}
    </section>
  );
}

/** Every measure with its error and where it comes from; never finer than the error. */
export function MeasureList({ reading, units }: MeasureListProps) {
  const { measures, notes } = reading;
  return (
    <section aria-label="Measures">
      <dl className={classes.measures}>
        {stillMeasureIds.map((id) => {
          const found = measures[id];
          if (found === undefined) return null;
          const { label, why } = getMeasure(id);
          return (
            <div key={id} data-far={id === 'farKneeAngle'}>
              <dt>{firstUp(label)}</dt>
              <dd>
                <strong>{sayValue(found, units)}</strong>
                <details className={classes.why}>
                  <summary>{sayError(found, units)}</summary>
                  <span>{sayWhy(id, why, found)}</span>
                </details>
              </dd>
            </div>
          );
        })}
      </dl>
      {notes.map((note) => (
        <p key={note} className={classes.note}>
          {note}
        </p>
      ))}
    </section>
  );
}
