import { sayEvening } from '@/design/days';
import { sayDay } from '@/core/units/day';
import { formatLength } from '@/core/units/length';
import { StripView } from '@/design/atlas/StripView';
import { homeCaution, type HomeView } from './read';
import classes from './home.module.css';

export const homeStripPx = 92;

interface HomeSheetProps {
  readonly view: HomeView;
  /** The page draws each movement once, for all of its sheets. */
  readonly isShelved?: boolean;
}

/** One person's practice on one page. */
export function HomeSheet({ view, isShelved = false }: HomeSheetProps) {
  const { name, practice, today, next, units } = view;
  return (
    <article className={classes.sheet} aria-label={`Practice for ${name}`}>
      <header className={classes.head}>
        <h2>{name}</h2>
        <p>
          {sayDay(today)}
          {next !== null && ` · next time ${sayEvening(next)}`}
        </p>
      </header>
      {practice.instead !== null && <p className={classes.instead}>{practice.instead}</p>}
      <ol className={classes.items}>
        {practice.items.map((item) => (
          <li key={item.id}>
            <h3>{item.label}</h3>
            {item.move !== null && (
              <StripView
                move={item.move}
                label={item.label}
                heightPx={homeStripPx}
                isShelved={isShelved}
              />
            )}
            <p className={classes.dose}>
              {item.dose}
              <span>{item.days} days a week</span>
            </p>
            <p>{item.how}</p>
            {item.firstSide && (
              <p>
                Begin with the <strong>{item.firstSide}</strong> side; it is the one that lags.
              </p>
            )}
            {item.wall && (
              <p>
                {item.wall.label}: <strong>{formatLength(item.wall.metres, units)}</strong>
                {item.wall.isFound && ', found by trying'}
              </p>
            )}
            {item.standIns.length > 0 && (
              <p>Take {item.standIns.map(({ words }) => words).join('; ')}.</p>
            )}
            {item.watch.length > 0 && <p>Watch: {item.watch.join('; ')}.</p>}
            {item.towards !== item.label && (
              <p className={classes.towards}>towards {item.towards.toLowerCase()}</p>
            )}
          </li>
        ))}
      </ol>
      {practice.notAlone.length > 0 && (
        <section className={classes.not}>
          <h3>Not alone</h3>
          <ul>
            {practice.notAlone.map(({ stage, label, why }) => (
              <li key={stage}>
                {label}: {why}
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className={classes.caution}>{homeCaution}</p>
    </article>
  );
}
