import { verdictKinds } from '@/core/ladder/verdict';
import { formatFigure } from '@/core/units/length';
import type { CourseView } from '@/server/views';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/ui/marks/VerdictMark';
import { countObstacles, listTapeMarks } from '@/server/notes';
import classes from './tonight.module.css';

const mostLines = 6;

/** What the teacher does before people arrive, in four short columns. */
export function TonightNotes({ view }: { readonly view: CourseView }) {
  const { people, settings } = view;
  const obstacles = countObstacles(people).slice(0, mostLines);
  const marks = listTapeMarks(people);
  const toAsk = people.filter(
    ({ verdict }) => verdict.kind === 'stop' && verdict.alternative === undefined,
  );
  const elsewhere = people.filter(({ verdict }) => verdict.alternative !== undefined).length;
  const estimated = people.filter(({ setup }) => setup.distances.base.basis === 'estimated').length;
  const unsupplied = people.filter(
    ({ setup, verdict }) => verdict.alternative === undefined && setup.cautions.length > 0,
  );
  return (
    <section className={classes.notes} aria-label="Before the class">
      <div>
        <h2>Tonight’s marks</h2>
        <ul>
          {verdictKinds.map((kind) => {
            const count = people.filter(
              ({ verdict }) => verdict.kind === kind && verdict.alternative === undefined,
            ).length;
            if (count === 0) return null;
            return (
              <li key={kind} className={classes.count}>
                <VerdictMark kind={kind} />
                {count} {verdictWords[kind]}
              </li>
            );
          })}
          {elsewhere > 0 && (
            <li className={classes.count}>
              <AnotherWayMark />
              {elsewhere} in another shape
            </li>
          )}
        </ul>
      </div>
      <div>
        <h2>Before people arrive</h2>
        <ul>
          <li>
            Tape marks from the wall:{' '}
            <strong>
              {marks.map((mark) => formatFigure(mark, settings.units)).join(', ')} {settings.units}
            </strong>
          </li>
          <li>
            {estimated} of {people.length} distances rest on estimates; a tape settles them
          </li>
        </ul>
      </div>
      <div>
        <h2>Worth looking at</h2>
        <ul>
          {obstacles.map(({ label, count }) => (
            <li key={label}>
              {label}: {count} {count === 1 ? 'person' : 'people'}
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h2>Ask at the door</h2>
        <ul>
          <li>Everyone: anything new or sore today?</li>
          {toAsk.map(({ person }) => (
            <li key={person.id}>{person.name}: how is it today?</li>
          ))}
          {unsupplied.map(({ person }) => (
            <li key={person.id}>{person.name}: the cupboard falls short, see the card</li>
          ))}
        </ul>
      </div>
    </section>
  );
}
