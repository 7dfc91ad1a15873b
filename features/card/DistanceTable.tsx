import type { Distance } from '@/core/setups/distance';
import type { ForearmKickSetup } from '@/core/setups/forearmKick';
import { lengthTable } from '@/core/body/lengths';
import { formatFigure, formatLength, sayIn, type LengthUnits } from '@/core/units/length';
import classes from './card.module.css';

interface DistanceTableProps {
  readonly setup: ForearmKickSetup;
  readonly units: LengthUnits;
}

/** The figures of the card, largest on the page: what is measured, from where, and how sure. */
export function DistanceTable({ setup, units }: DistanceTableProps) {
  const { distances, lean, leanRange, needsLift } = setup;
  const rows: readonly Distance[] = [
    distances.base,
    distances.gap,
    distances.elbowWidth,
    ...(distances.wristSpacing ? [distances.wristSpacing] : []),
    distances.strapLoop,
    distances.headClearance,
    ...(needsLift ? [distances.forearmLift] : []),
  ];
  return (
    <table className={classes.distances}>
      <tbody>
        {rows.map((distance) => (
          <tr key={distance.id}>
            <td className={classes.figureCell}>
              {distance.basis === 'estimated' ? '~' : ''}
              {figureOf(distance, units)}
            </td>
            <td>
              <strong>{distance.label}</strong>{' '}
              <span className={classes.mark}>{distance.mark}</span>
              <Basis distance={distance} units={units} />
            </td>
          </tr>
        ))}
        <tr>
          <td className={classes.figureCell}>
            {leanRange.basis === 'estimated' ? '~' : ''}
            {Math.round(lean.leanDeg)}°
          </td>
          <td>
            <strong>Lean the distance forces</strong>{' '}
            <span className={classes.mark}>
              one line from elbow to heel; with upright upper arms the body bends back{' '}
              {Math.round(lean.bendIfUpperArmsUprightDeg)}° instead (the pale figure)
            </span>
          </td>
        </tr>
      </tbody>
    </table>
  );
}

/** A head that would reach below the floor has no clearance; how much is missing stands in words. */
function figureOf(distance: Distance, units: LengthUnits): string {
  return distance.metres <= 0 && distance.id !== 'gap'
    ? 'none'
    : formatLength(distance.metres, units);
}

/** Nothing behind a figure: the profile chose it, or somebody tried it. */
function basisWords({ drivers, found, basis }: Distance, range: string): string {
  if (drivers.length > 0) return `${basis}${range}`;
  return found === undefined ? 'set by the profile' : 'found by trying';
}

function Basis({ distance, units }: { readonly distance: Distance; readonly units: LengthUnits }) {
  const { lowM, highM, toleranceM, drivers, why } = distance;
  const show = (metres: number) => (metres <= 0 ? 'none' : formatFigure(metres, units));
  const range = show(lowM) === show(highM) ? '' : `: ${show(lowM)} to ${show(highM)}`;
  return (
    <details className={classes.why}>
      <summary>
        {basisWords(distance, range)}, give or take {formatLength(toleranceM, units)}
      </summary>
      <span>
        {sayIn(why, units)}.
        {drivers.length > 0 &&
          ` Rests on ${drivers
            .slice(0, 3)
            .map(({ length }) => lengthTable[length].label.split(',')[0]!.toLowerCase())
            .join(', ')}.`}
      </span>
    </details>
  );
}
