/** What a class begins with: everything the floor needs while there is no server to ask. */
import type { MoveId } from '@/core/atlas/moves';
import type { DrillKey } from '@/core/catalog/drills';
import { counterRegions } from '@/core/compose/saidBefore';
import { doneByAll } from '@/core/compose/sittingOut';
import type { StageSpec, StageKey } from '@/core/catalog/stage';
import { trySpecOf, type TrySpec } from '@/core/catalog/tries';
import type { Scoring } from '@/core/catalog/checks';
import type { BodyRegion } from '@/core/catalog/regions';
import { faultsAt, sayAt, watchAt } from '@/core/ladder/eyeWords';
import { drillLiftsFeet, regionsOf } from '@/core/ladder/asked';
import { basesUp, regionsOfCheck } from '@/core/ladder/checkShape';
import { sayDose, type Dose } from '@/core/catalog/dose';
import { isLengthCheck, sayBar, suffixOf } from '@/core/catalog/sayCheck';
import type { BodyInput } from '@/core/body/body';
import { isScreeningDue } from '@/core/caution/care';
import type { Day } from '@/core/units/day';
import { forearmHandsIds } from '@/core/body/hands';
import type { PlannedOption } from '@/core/compose/option';
import type { Variant } from '@/core/setups/setup';
import { sayMethod } from '@/core/catalog/taking';
import type { BaseId, CheckKey, CheckSpec, FaultId } from '@/core/catalog/checks';
import { faultIds, faultTable, getCheck, getFault, isShippedCheck } from '@/core/catalog/checks';
import type { LadderId } from '@/core/catalog/stage';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass, PreparedPerson } from '@/core/compose/prepared';
import type { School } from '@/core/catalog/school';
import { closedByWord } from '@/core/running/closedByWord';
import { planForAssistant, preparedForAssistant } from '@/core/running/assistantPlan';
import { hideChecks, isPrivateCheck } from '@/core/running/hide';
import type { FloorRole } from '@/core/running/roles';
import { isSoreBefore, type Consent, type OpenedCase } from '@/core/ladder/case';
import { questionOf, screeningQuestion, soreQuestion, type DoorQuestion } from '@/core/ladder/door';
import type { LengthUnits } from '@/core/units/length';
import type { FloorClassRow } from '@/db/floor';
import type { Db } from '@/db/open';
import { listCoursePeople, type PersonRow } from '@/db/people';
import type { ClassView } from '../judging/classViews';
import { listPieces } from '@/db/cupboards';
import { listToAsk } from '@/db/homeReports';
import { readCases } from '../judging/cases';
import { readSchool } from '../judging/schools';

export interface FloorMember {
  readonly id: string;
  readonly name: string;
  readonly body: BodyInput;
  /** Hands-on help. */
  readonly consent: Consent;
  /** Reported something from home that is asked about at the door; the teacher’s alone. */
  readonly isAskedFromHome?: true;
  /** Never asked the first questions, or too long ago; the teacher’s alone. */
  readonly isScreeningDue?: true;
  /** Something hurt on an earlier day and was not noted as gone; the teacher’s alone. */
  readonly isSoreBefore?: true;
}

/** A check as the floor records it. */
export interface FloorCheck {
  readonly check: CheckKey;
  readonly label: string;
  readonly kind: Scoring['kind'];
  readonly unit?: string;
  readonly bar: number;
  readonly most: number;
  readonly hasSides: boolean;
  readonly byBase: boolean;
  readonly timedTogether: boolean;
  readonly voidedBy: readonly FaultId[];
  /** Regions that its shape loads or strains: who is sore there takes no part. */
  readonly regions: readonly BodyRegion[];
  /** On which bases a foot leaves the floor; absent in classes begun before it was said. */
  readonly feetUp?: readonly (BaseId | null)[];
  /** The teacher's alone. */
  readonly isPrivate?: true;
  /** Offered first where none is planned. */
  readonly isUsualHold?: true;
  readonly levels?: readonly string[];
  /** What is asked for and what stands behind a number, in words; absent in classes begun before. */
  readonly words?: { readonly bar: string; readonly suffix: string };
  /** The unit its values are typed in, where it is not the one they are kept in. */
  readonly typedIn?: LengthUnits;
  /** How it is taken; a teacher's own has none. */
  readonly method?: string;
}

export interface FloorBundle {
  readonly uid: string;
  /** Rises with every change to who is in the class and what is open to them. */
  readonly revision: number;
  readonly startedMs: number;
  readonly course: { readonly id: number; readonly name: string };
  readonly meeting: ClassView['meeting'];
  readonly plan: PlanFile;
  readonly prepared: PreparedClass;
  readonly members: readonly FloorMember[];
  readonly school: ClassView['school'];
  readonly units: LengthUnits;
  readonly breathSeconds: number;
  readonly checks: readonly FloorCheck[];
  /** The ladder of every stage that is in the plan's options. */
  readonly stages: Readonly<
    Record<
      string,
      {
        readonly family: LadderId;
        readonly label: string;
        /** What is asked about its tries; absent where nothing is tried, and in classes begun before. */
        readonly tries?: TrySpec;
        /** What may be seen of a try; absent in classes begun before it was noted. */
        readonly faults?: readonly FaultId[];
        /** What is said, and what is watched for, in words; absent in classes begun before. */
        readonly say?: readonly string[];
        readonly watch?: readonly string[];
        /** What is said instead to whoever's hands lie otherwise; absent in classes begun before. */
        readonly sayWith?: Readonly<Partial<Record<Variant, readonly string[]>>>;
      }
    >
  >;
  /** How each drill is said. */
  readonly drills: Readonly<
    Record<
      string,
      {
        readonly how: string;
        readonly dose: string;
        /** Drawn; absent in classes begun before it was, and for a teacher’s own without a drawing. */
        readonly move?: MoveId;
        /** The same as data, which the pacer starts from, and the minutes it usually takes. */
        readonly paced?: { readonly dose: Dose; readonly minutes: number };
        /** That it loads or strains; absent in classes begun before it was said. */
        readonly regions?: readonly BodyRegion[];
        /** A foot leaves the floor. */
        readonly feetUp?: true;
      }
    >
  >;
  /** What the counterpose of each family loads or strains; absent in classes begun before it was said. */
  readonly counters?: Readonly<Partial<Record<LadderId, readonly BodyRegion[]>>>;
  readonly faults: Readonly<Record<string, string>>;
  /** What is asked of somebody first; absent in classes begun before it stood here. */
  readonly questions?: readonly DoorQuestion[];
  /** Who said at the door that it is gone, and what stood noted before, for taking that back. */
  readonly goneBefore?: readonly { readonly person: string; readonly was: Day | null }[];
  /** The revision with which care last let go of something: a plan from before knows nothing of it. */
  readonly openedAt?: number;
}

/** What a class goes by, from its row. */
export const bundleOf = (row: FloorClassRow): FloorBundle => ({
  // Classes that were begun before people could be let in have no number.
  ...{ revision: 0 },
  ...(row.bundle as FloorBundle),
  uid: row.uid,
  startedMs: row.startedMs,
});

/** What may be tapped of a try: what voids it, and what is only noted on its ladder. */
function faultsSeen(school: School, stage: StageKey, { family }: StageSpec): FaultId[] {
  const watched = faultsAt(school, stage);
  return faultIds.filter((fault) => {
    const { isPrivate, notedOn = [] } = getFault(fault);
    return !isPrivate && (watched.includes(fault) || notedOn.includes(family));
  });
}

/** How a check is taken, where it was said. */
function methodOf(spec: CheckSpec): Pick<FloorCheck, 'method'> {
  const method = sayMethod(spec);
  return method === undefined ? {} : { method };
}

/** What is said at a stage to those whose hands lie in a way of their own. */
const sayWith = (school: School, stage: StageKey, options: readonly PlannedOption[]) =>
  Object.fromEntries(
    forearmHandsIds.flatMap((hands) =>
      options.some((one) => one.stage === stage && one.variant === hands)
        ? [[hands, sayAt(school, stage, hands)] as const]
        : [],
    ),
  ) as Partial<Record<Variant, readonly string[]>>;

/** Ladder and name of every stage that is open to somebody. */
export function stagesOf(
  school: School,
  people: readonly Pick<PreparedPerson, 'options' | 'fallbacks'>[],
): FloorBundle['stages'] {
  const options = people.flatMap((person) => [...person.options, ...person.fallbacks]);
  return Object.fromEntries(
    options.flatMap(({ stage }) => {
      const found = stage === undefined ? undefined : school.stages.get(stage);
      if (stage === undefined || found === undefined) return [];
      const { family, label, isAttempt } = found.spec;
      return [
        [
          stage,
          {
            family,
            label,
            say: sayAt(school, stage),
            sayWith: sayWith(school, stage, options),
            watch: watchAt(school, stage),
            ...(isAttempt
              ? { tries: trySpecOf(found.spec), faults: faultsSeen(school, stage, found.spec) }
              : {}),
          },
        ],
      ];
    }),
  );
}

/** Everything that somebody is given in some round of a plan. */
const optionsTonight = ({ rounds }: PlanFile): ReadonlySet<string> =>
  new Set(rounds.flatMap(({ people }) => people.flatMap(({ option }) => option ?? [])));

/** What a class knows of somebody besides their body: what they allow, and what to ask on arriving. */
export function atDoor(
  db: Db,
  people: readonly Pick<PersonRow, 'id'>[],
  day: Day,
  cases: ReadonlyMap<number, OpenedCase>,
): (
  person: Pick<PersonRow, 'id' | 'consent' | 'screenedOn'>,
) => Pick<FloorMember, 'consent' | 'isAskedFromHome' | 'isScreeningDue' | 'isSoreBefore'> {
  const toAsk = new Set(
    listToAsk(
      db,
      people.map(({ id }) => id),
    ),
  );
  const isSore = (id: number) => {
    const opened = cases.get(id);
    return opened !== undefined && isSoreBefore(opened, day);
  };
  return ({ id, consent, screenedOn }) => ({
    consent,
    ...(isSore(id) ? { isSoreBefore: true as const } : {}),
    ...(toAsk.has(id) ? { isAskedFromHome: true as const } : {}),
    ...(isScreeningDue(screenedOn, day) ? { isScreeningDue: true as const } : {}),
  });
}

export function makeBundle(db: Db, view: ClassView, plan: PlanFile): FloorBundle {
  const { units } = view.settings;
  const school = readSchool(db, view.profile);
  const enrolled = listCoursePeople(db, view.course.id);
  const people = new Map(enrolled.map((person) => [String(person.id), person]));
  const pieces = listPieces(db, view.course.id);
  const cases = readCases(db, enrolled, () => ({ school, day: view.today, pieces }));
  const say = atDoor(db, enrolled, view.today, cases);
  return {
    uid: '',
    revision: 0,
    startedMs: 0,
    course: view.course,
    meeting: view.meeting,
    plan,
    prepared: view.prepared,
    members: view.members.map((member) => {
      const person = people.get(member.id);
      return person === undefined
        ? { ...member, consent: 'ask' as const }
        : { ...member, ...say(person) };
    }),
    school: view.school,
    units,
    breathSeconds: view.settings.breathSeconds,
    checks: [...school.checks].map(([check, { spec, bar }]): FloorCheck => ({
      check,
      label: spec.label,
      kind: spec.scoring.kind,
      ...('unit' in spec.scoring ? { unit: spec.scoring.unit } : {}),
      bar,
      most: spec.most,
      hasSides: spec.hasSides === true,
      byBase: spec.byBase === true,
      timedTogether: spec.timedTogether === true,
      voidedBy: spec.voidedBy,
      regions: regionsOfCheck(school, spec),
      feetUp: basesUp(school, spec),
      ...(spec.isPrivate ? { isPrivate: true as const } : {}),
      ...(isShippedCheck(check) && getCheck(check).isUsualHold
        ? { isUsualHold: true as const }
        : {}),
      ...(spec.levels === undefined ? {} : { levels: spec.levels }),
      words: { bar: sayBar(spec, bar, units), suffix: suffixOf(spec, units) },
      ...(isLengthCheck(spec) && units !== 'cm' ? { typedIn: units } : {}),
      ...methodOf(spec),
    })),
    stages: stagesOf(school, view.prepared.people),
    drills: Object.fromEntries(
      [...drillsTonight(plan)].flatMap((drill) => {
        const spec = school.catalog.drills[drill];
        if (spec === undefined) return [];
        return [
          [
            drill,
            {
              how: spec.how,
              dose: sayDose(spec.dose),
              ...(spec.move === undefined ? {} : { move: spec.move }),
              paced: { dose: spec.dose, minutes: spec.minutes },
              regions: regionsOf(spec),
              ...(drillLiftsFeet(spec) ? { feetUp: true as const } : {}),
            },
          ],
        ];
      }),
    ),
    counters: Object.fromEntries(
      plan.families.map((family) => [family, counterRegions({ kind: 'counter', family })]),
    ),
    faults: Object.fromEntries(faultIds.map((id) => [id, faultTable[id].label])),
    questions: [
      screeningQuestion,
      soreQuestion,
      ...[...school.checks].flatMap(([check, { spec }]) => questionOf(check, spec) ?? []),
    ],
  };
}

/** What is done by all tonight, the pauses included. */
const drillsTonight = ({ timeline }: PlanFile): ReadonlySet<DrillKey> =>
  new Set(timeline.flatMap((line) => doneByAll(line) ?? []));

/** What a role is sent. Every field is let out to an assistant by name. */
export function bundleFor(role: FloorRole, bundle: FloorBundle): FloorBundle {
  if (role === 'teacher') return bundle;
  const { course, meeting, school } = bundle;
  const hide = hideChecks(bundle.checks);
  return {
    uid: bundle.uid,
    revision: bundle.revision,
    startedMs: bundle.startedMs,
    course: { id: course.id, name: course.name },
    meeting,
    plan: planForAssistant(bundle.plan, hide),
    prepared: preparedForAssistant(
      bundle.prepared,
      hide,
      drillsTonight(bundle.plan),
      optionsTonight(bundle.plan),
      (id) => closedByWord({ id }, bundle.checks, bundle.plan.wishes),
    ),
    members: bundle.members.map(({ id, name, body, consent }) => ({
      id,
      name,
      body: {
        heightM: body.heightM,
        ...(body.lengths === undefined ? {} : { lengths: body.lengths }),
        ...(body.forearmHands === undefined ? {} : { forearmHands: body.forearmHands }),
      },
      consent,
    })),
    school: { origin: school.origin, settings: school.settings, label: school.label },
    units: bundle.units,
    breathSeconds: bundle.breathSeconds,
    checks: bundle.checks
      .filter((one) => !isPrivateCheck(one))
      .map((one): FloorCheck => ({
        check: one.check,
        label: one.label,
        kind: one.kind,
        ...(one.unit === undefined ? {} : { unit: one.unit }),
        ...(one.typedIn === undefined ? {} : { typedIn: one.typedIn }),
        bar: one.bar,
        most: one.most,
        hasSides: one.hasSides,
        byBase: one.byBase,
        timedTogether: one.timedTogether,
        voidedBy: one.voidedBy.filter((fault) => !getFault(fault).isPrivate),
        regions: one.regions,
        ...(one.feetUp === undefined ? {} : { feetUp: one.feetUp }),
        ...(one.isUsualHold === undefined ? {} : { isUsualHold: one.isUsualHold }),
        ...(one.levels === undefined ? {} : { levels: one.levels }),
        ...(one.words === undefined
          ? {}
          : { words: { bar: one.words.bar, suffix: one.words.suffix } }),
        ...(one.method === undefined ? {} : { method: one.method }),
      })),
    stages: bundle.stages,
    drills: bundle.drills,
    ...(bundle.counters === undefined ? {} : { counters: bundle.counters }),
    faults: Object.fromEntries(
      faultIds.flatMap((fault) => {
        const words = bundle.faults[fault];
        return getFault(fault).isPrivate || words === undefined ? [] : [[fault, words]];
      }),
    ),
  };
}
