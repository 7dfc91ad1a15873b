import { Link } from '@/design/Link';
import { isScreeningDue } from '@/core/caution/care';
import { isSoreBefore } from '@/core/ladder/case';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { formatFigure } from '@/core/units/length';
import type { PlanFile } from '@/core/files/planFile';
import { rowLabel } from '@/core/pieces/rows';
import { listOut } from '@/core/compose/layOut';
import type { CourseView } from '@/server/judging/views';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import type { PreparedPerson } from '@/core/compose/prepared';
import { countTaped, listTapeMarks } from './notes';
import { ChecksList } from '@/features/evening/ChecksList';
import type { ClassMember } from '@/server/judging/classViews';
import { isElsewhere } from './elsewhere';
import classes from './tonight.module.css';

const mostShortfalls = 2;

/** What would serve more people than the shelves, walls and hands do now. */
function listShortfalls({ binding, relief }: PlanFile): string[] {
  const asked = relief === null ? [] : relief.more.map(({ words }) => words);
  const more = binding
    .filter(
      ({ gain, what, serves }) =>
        gain !== null && gain > 0 && what !== 'minutes' && serves.length > 0,
    )
    .map(({ words }) => words);
  return [...asked, ...more]
    .slice(0, mostShortfalls)
    .map((words) => words.charAt(0).toUpperCase() + words.slice(1));
}

/** What the teacher does before people arrive, in four short columns. */
interface TonightNotesProps {
  readonly view: CourseView;
  readonly plan: PlanFile;
  readonly members: readonly ClassMember[];
  readonly prepared: readonly PreparedPerson[];
  /** Who reported something from home that is to be asked about. */
  readonly fromHome: readonly number[];
}

export function TonightNotes({ view, plan, members, prepared, fromHome }: TonightNotesProps) {
  const { settings } = view;
  // Who is away tonight is neither counted nor asked.
  const people = view.people.filter(
    ({ person }) => !plan.wishes.absent.includes(String(person.id)),
  );
  const marks = listTapeMarks(plan);
  const { taped, estimated } = countTaped(plan, prepared);
  const out = listOut(plan);
  const shortfalls = listShortfalls(plan);
  const due = people.filter(({ person }) => isScreeningDue(person.screenedOn, view.today));
  const toAsk = people.filter(({ opened }) => isSoreBefore(opened, view.meeting.date));
  const elsewhere = people.filter(({ verdict }) => isElsewhere(verdict)).length;
  return (
    <section className={classes.notes} aria-label="Before the class">
      <div>
        <h2>Tonight’s marks</h2>
        <ul>
          {verdictKinds.map((kind) => {
            const count = people.filter(
              ({ verdict }) => verdict.kind === kind && !isElsewhere(verdict),
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
          {marks.length > 0 && (
            <li>
              Tape marks from the wall:{' '}
              <strong>
                {marks.map((mark) => formatFigure(mark, settings.units)).join(', ')}{' '}
                {settings.units}
              </strong>
            </li>
          )}
          {taped > 0 && (
            <li>
              {estimated} of {taped} {taped === 1 ? 'person rests' : 'people rest'} on estimated
              lengths; a tape settles them
            </li>
          )}
          <li>
            Out of the cupboard:{' '}
            {out.length === 0
              ? 'mats alone'
              : out.map(({ row, most, label }) => rowLabel(row, most, label)).join(', ')}
          </li>
          {shortfalls.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </div>
      <div>
        <h2>
          To look at · <Link href="/checks">the short list</Link>
        </h2>
        {plan.checks.length === 0 ? (
          <p>No check is planned: the minutes are for the shapes.</p>
        ) : (
          <ChecksList {...{ plan, members }} />
        )}
      </div>
      <div>
        <h2>Ask at the door</h2>
        <ul>
          <li>Everyone: anything new or sore today?</li>
          {due.length > 0 && (
            <li>Screening is due: {due.map(({ person }) => person.name).join(', ')}</li>
          )}
          {fromHome.length > 0 && (
            <li>
              Something from home:{' '}
              {people
                .filter(({ person }) => fromHome.includes(person.id))
                .map(({ person }, index) => (
                  <span key={person.id}>
                    {index > 0 && ', '}
                    <Link href={`/people/${person.id}#from-home`}>{person.name}</Link>
                  </span>
                ))}
            </li>
          )}
          {toAsk.map(({ person }) => (
            <li key={person.id}>{person.name}: how is it today?</li>
          ))}
        </ul>
      </div>
    </section>
  );
}
