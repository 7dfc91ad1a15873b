import { getShape } from '@/core/shapes/registry';
import { getDials } from '@/core/shapes/values';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { distanceWords } from '@/core/setups/distanceWords';
import { getSetup } from '@/core/setups/registry';
import { isShapeId, keptFromSaved } from '@/core/setups/saved';
import { sayShortDay } from '@/design/days';
import type { SavedSetup } from '@/server/judging/views';
import classes from './person.module.css';

interface SetupListProps {
  readonly setups: readonly SavedSetup[];
  readonly units: LengthUnits;
}

export function SetupList({ setups, units }: SetupListProps) {
  if (setups.length === 0) return <p>None kept yet. Try one on the bench and keep it there.</p>;
  return (
    <ul className={classes.evenings}>
      {[...setups].reverse().map((setup) => (
        <li key={setup.id}>
          <span>
            {sayShortDay(setup.savedOn)}, {savedLabel(setup)}
          </span>
          <span>
            {savedFigures(setup, units)}
            {setup.note === '' ? '' : ` · ${setup.note}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

const savedLabel = ({ family }: SavedSetup): string =>
  isShapeId(family) ? getShape(family).label : getSetup(family).label;

/** Every figure that was kept, in words. */
function savedFigures({ family, values }: SavedSetup, units: LengthUnits): string {
  if (isShapeId(family)) {
    return getDials(family)
      .flatMap(({ parameter, label, unit }) => {
        const value = values[parameter];
        if (value === undefined) return [];
        const shown =
          unit === 'm' ? formatLength(value, units) : String(Math.round(value * 10) / 10);
        return [`${label.toLowerCase()} ${shown}`];
      })
      .join(', ');
  }
  return keptFromSaved([{ family, values, note: '', savedOn: '' }])
    .map(
      ({ distance, metres }) =>
        `${distanceWords[distance].label.toLowerCase()} ${formatLength(metres, units)}`,
    )
    .join(', ');
}
