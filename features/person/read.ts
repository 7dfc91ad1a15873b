import { isKeyOf } from '@/core/units/keyed';
import { alternativeIds, getAlternative } from '@/core/catalog/alternatives';
import type { School } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import type { HomeReport } from '@/core/home/diary';
import type { Day } from '@/core/units/day';
import { listClosed, type Closed } from '@/core/ladder/ledger';
import { rankChecks, type CheckWorth } from '@/core/ladder/tonight';
import { listPersonMeetings } from '@/db/courses';
import { listDecisions, type DecisionRow } from '@/db/decisions';
import { listAttempts } from '@/db/floor';
import { listHomeReports } from '@/db/homeReports';
import { listPeople } from '@/db/people';
import { asSeenChecks, countSeen, type SeenInTries } from '@/features/record/seenInTries';
import { database } from '@/server/database';
import { listHistories, type CheckHistory } from './personHistory';
import { readStandings, type Standing } from '@/server/judging/standings';
import { readPerson, type PersonView } from '@/server/judging/views';

export interface DecisionView extends DecisionRow {
  readonly stageLabel: string;
}

export interface PersonPageView extends PersonView {
  readonly standings: readonly Standing[];
  readonly histories: readonly CheckHistory[];
  /** Checks worth taking from this person tonight, the most telling first. */
  readonly worth: readonly CheckWorth[];
  /** What care keeps from them today, by its cause. */
  readonly closed: readonly Closed[];
  readonly decisions: readonly DecisionView[];
  /** What their tries showed, from evening to evening. */
  readonly tries: SeenInTries;
  readonly meetings: ReturnType<typeof listPersonMeetings>;
  /** What was reported from home, oldest first, and what its rows are called. */
  readonly reports: readonly HomeReport[];
  readonly reportLabels: Readonly<Record<string, string>>;
  /** Everyone else, for merging two entries of the same person. */
  readonly others: readonly { readonly id: number; readonly name: string }[];
}

const mostWorth = 3;
/** Days that a fault is followed over. */
const mostDays = 12;

const newestDays = (seen: readonly { readonly date: Day }[]): Day[] =>
  [...new Set(seen.map(({ date }) => date))].sort().slice(-mostDays);

const labelIn = (table: Readonly<Record<string, { readonly label: string }>>, item: string) =>
  isKeyOf(table, item) ? table[item]?.label : undefined;

/** Rows of a sheet by their names: a drill, a check, a stage or an alternative. */
function labelsOf(school: School, reports: readonly HomeReport[]): Record<string, string> {
  const labelOf = (item: string) =>
    labelIn(school.catalog.drills, item) ??
    labelIn(school.catalog.checks, item) ??
    labelIn(school.catalog.stages, item) ??
    alternativeIds.filter((id) => id === item).map((id) => getAlternative(id).label)[0];
  return Object.fromEntries(
    reports.flatMap(({ item }) => {
      const label = labelOf(item);
      return label === undefined ? [] : [[item, label]];
    }),
  );
}

/** Everything about one person; `null` when there is no such person. */
export function readPersonPage(id: number, stage?: StageKey): PersonPageView | null {
  const view = readPerson(id, stage);
  if (view === null) return null;
  const db = database();
  const { school, today, person } = view;
  const { pieces } = view.setupInput;
  const tries = listAttempts(db, [id]);
  const reports = listHomeReports(db, id);
  const standing = readStandings(db, [person], () => ({ school, day: today, pieces })).get(id)!;
  return {
    ...view,
    standings: standing.standings,
    worth: rankChecks(view.opened).slice(0, mostWorth),
    closed: listClosed(view.opened),
    histories: listHistories(view.opened, view.records),
    decisions: listDecisions(db, id).map((row) => ({
      ...row,
      stageLabel: school.stages.get(row.stage)?.spec.label ?? row.stage,
    })),
    tries: countSeen(
      tries,
      newestDays([...tries, ...view.records]),
      asSeenChecks(view.records, school.checks),
    ),
    meetings: listPersonMeetings(db, id),
    reports,
    reportLabels: labelsOf(school, reports),
    others: listPeople(db, true)
      .filter((other) => other.id !== id)
      .map((other) => ({ id: other.id, name: other.name })),
  };
}
