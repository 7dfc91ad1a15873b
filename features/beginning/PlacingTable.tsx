import { ShowMove } from '@/design/atlas/ShowMove';
import type { PlacingProps } from './PlacingStep';
import { RungHead } from './RungHead';
import classes from './beginning.module.css';

/** Everybody below each other, the shapes of a ladder side by side. */
export function PlacingTable({ view, family, said, open, say }: PlacingProps) {
  const rungs = view.rungs[family];
  return (
    <div className={classes.placing}>
      <table>
        <thead>
          <tr>
            <th scope="col">{open === 0 ? 'Everybody is placed' : `${open} to go`}</th>
            <th scope="col" title="Nothing of this family was seen yet">
              <span className={classes.never}>never seen</span>
            </th>
            {rungs.map(({ stage, label, how, move, ...drawn }) => (
              <th key={stage} scope="col" title={move === null ? `${label}. ${how}` : undefined}>
                {move === null ? (
                  <RungHead label={label} {...drawn} />
                ) : (
                  <ShowMove drawn={{ move }} label={label} how={how} className={classes.rungHead}>
                    <RungHead label={label} {...drawn} />
                  </ShowMove>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.people.map((person) => (
            <tr key={person.id}>
              <th scope="row">{person.name}</th>
              {[{ stage: null, label: 'never seen' }, ...rungs].map(({ stage, label }) => (
                <td key={stage ?? 'never'}>
                  <input
                    type="radio"
                    name={`placing-${person.id}-${family}`}
                    aria-label={`${person.name}: ${label}`}
                    title={label}
                    checked={said[person.id]?.[family] === stage}
                    disabled={stage !== null && person.closed.includes(stage)}
                    onChange={() => say(person, stage)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
