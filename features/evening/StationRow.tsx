import { Link } from '@/design/Link';
import { memo, useMemo } from 'react';
import type { PlanFile } from '@/core/files/planFile';
import { formatLength } from '@/core/units/length';
import { SceneView } from '@/design/drawing/SceneView';
import { drawStation, rowWallM, stationsIn, type DrawingContext } from './marks';
import { shortNames } from './names';
import classes from './evening.module.css';

interface StationRowProps {
  readonly plan: PlanFile;
  readonly round: number;
  readonly context: DrawingContext;
  readonly pxPerM?: number;
  readonly chosen?: string | null | undefined;
  readonly onChoose?: ((person: string) => void) | undefined;
  /** Where a name leads, on screens that do not choose. */
  readonly hrefOf?: ((person: string) => string) | undefined;
  /** Every set-up in sight, in as many rows as it takes. */
  readonly wraps?: boolean;
  /** On paper 1 to this. */
  readonly printScale?: number | undefined;
}

/** A number and its unit stay on one line. */
const unbroken = (words: string) => words.replace(/ /g, '\u00a0');

/** One figure for each set-up, at its own size and distance, with the letter it has on the plan. */
export function StationRow({
  plan,
  round,
  context,
  pxPerM = 76,
  chosen,
  onChoose,
  hrefOf,
  wraps,
  printScale,
}: StationRowProps) {
  const stations = useMemo(
    () => stationsIn(plan, round, context.prepared),
    [plan, round, context.prepared],
  );
  const mayGrow = printScale === undefined;
  const size = useMemo(
    () => rowSize(stations, context, pxPerM, mayGrow),
    [stations, context, pxPerM, mayGrow],
  );
  if (stations.length === 0)
    return <p className={classes.quiet}>Nobody is upside down in this round.</p>;
  return (
    <ul className={classes.row} data-wraps={wraps} aria-label="Set-ups of this round">
      {stations.map((station) => (
        <Station
          key={station.letter}
          station={station}
          {...size}
          {...{ context, onChoose, hrefOf, printScale }}
          chosen={station.people.some(({ id }) => id === chosen) ? chosen : null}
        />
      ))}
    </ul>
  );
}

/** Few shapes, and nobody high: they are drawn larger. */
const lowRow = { most: 4, underM: 1.7, larger: 1.7 } as const;

/** The row stands on one line, and under one wall; where nobody is at one, no higher than they are. */
function rowSize(
  stations: ReturnType<typeof stationsIn>,
  context: DrawingContext,
  pxPerM: number,
  mayGrow: boolean,
) {
  const high = { pxPerM, wallM: rowWallM(context) };
  if (stations.some(({ option: { alongM } }) => alongM !== undefined)) return high;
  const scenes = stations.flatMap(
    ({ option, people }) => drawStation(option, people[0]!.id, context, { pxPerM }) ?? [],
  );
  const tops = scenes.flatMap(({ topM }) => topM ?? []);
  // Of a drawing that does not say how high it is, as much is left as for everybody's reach.
  if (tops.length < scenes.length) return high;
  const wallM = Math.max(0, ...tops);
  const isSmall = mayGrow && stations.length <= lowRow.most && wallM < lowRow.underM;
  return { pxPerM: isSmall ? pxPerM * lowRow.larger : pxPerM, wallM };
}

interface StationProps extends Pick<
  StationRowProps,
  'context' | 'chosen' | 'onChoose' | 'hrefOf' | 'printScale'
> {
  readonly station: ReturnType<typeof stationsIn>[number];
  readonly pxPerM: number;
  readonly wallM: number;
}

/**
 * Each is drawn by itself: between two of them the page answers whoever is dragging something. Who is
 * chosen elsewhere draws nothing anew.
 */
const Station = memo(function Station({
  station: { letter, label, option, people, baseM, isFound },
  context,
  pxPerM,
  wallM,
  chosen,
  onChoose,
  hrefOf,
  printScale,
}: StationProps) {
  const names = shortNames(context.members);
  const first = people[0]!.id;
  const scene = useMemo(
    () => drawStation(option, first, context, { pxPerM, wallM }),
    [option, first, context, pxPerM, wallM],
  );
  const door = people.filter(({ confirmAtDoor }) => confirmAtDoor.length > 0);
  return (
    <li className={classes.station}>
      {scene && (
        <SceneView
          scene={scene}
          label={`${letter}: ${label}, ${names.get(people[0]!.id)}`}
          {...(printScale === undefined ? {} : { printScale })}
        />
      )}
      <p className={classes.stationHead}>
        <span className={classes.letter}>{letter}</span>
        <span>
          {label}
          {baseM === undefined ? '' : `, ${unbroken(formatLength(baseM, context.units))}`}
          {isFound && ' (found by trying)'}
        </span>
      </p>
      <p className={classes.stationPeople}>
        {people.map(({ id, sharesWith, needsHand }, index) => (
          <span key={id}>
            {index > 0 && ', '}
            {onChoose ? (
              <button
                type="button"
                className={classes.nameButton}
                aria-pressed={chosen === id}
                onClick={() => onChoose(id)}
              >
                {names.get(id) ?? id}
              </button>
            ) : hrefOf ? (
              <Link href={hrefOf(id)} data-alone>
                {names.get(id) ?? id}
              </Link>
            ) : (
              (names.get(id) ?? id)
            )}
            {sharesWith !== undefined && ' (in turn)'}
            {needsHand && ' (with help)'}
          </span>
        ))}
      </p>
      {door.length > 0 && (
        <p className={classes.doorNote}>
          at the door: {door[0]!.confirmAtDoor.join(', ').toLowerCase()}; otherwise{' '}
          {door[0]!.otherwise?.toLowerCase()}
        </p>
      )}
    </li>
  );
});
