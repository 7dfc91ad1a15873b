/** The class as an assistant's device is sent it: set-ups and places, and nothing that says why. */
import { entriesOf, tableOf } from '../units/keyed';
import type { DrillKey } from '../catalog/drills';
import type { CheckKey } from '../catalog/checks';
import type { PlannedOption } from '../compose/option';
import type { PreparedClass } from '../compose/prepared';
import type { PlanFile } from '../files/planFile';
import { checkOfKey, type ClosedKey } from './closedKey';
import type { Hide } from './hide';

const withoutPrivate = <T extends { readonly check: CheckKey }>(
  checks: readonly T[],
  hide: Hide,
): T[] => checks.filter(({ check }) => !hide.isPrivate(check));

const figureAlone = <Id>({ id, metres }: { readonly id: Id; readonly metres: number }) => ({
  id,
  metres,
});

type PlanPerson = PlanFile['rounds'][number]['people'][number];

/**
 * The plan with where and what, without why. Every field is let out by name: one that is added to a
 * plan stays with the teacher until it stands here.
 */
export function planForAssistant(plan: PlanFile, hide: Hide): PlanFile {
  const { wishes, parts } = plan;
  const person = (one: PlanPerson): PlanPerson => ({
    id: one.id,
    letter: one.letter,
    option: one.option,
    label: one.label,
    role: null,
    why: '',
    place: one.place,
    ...(one.sharesWith === undefined ? {} : { sharesWith: one.sharesWith }),
    ...(one.dose === undefined ? {} : { dose: one.dose }),
    ...(one.tries === undefined ? {} : { tries: one.tries }),
    needsHand: one.needsHand,
    asksFirst: one.asksFirst,
    // That something is confirmed first, not what.
    confirmAtDoor: one.confirmAtDoor.map(hide),
    ...(one.otherwise === undefined ? {} : { otherwise: one.otherwise }),
  });
  return {
    format: plan.format,
    version: plan.version,
    profile: { key: plan.profile.key, version: plan.profile.version },
    families: plan.families,
    wishes: {
      minutes: wishes.minutes,
      rounds: wishes.rounds,
      roundMinutes: wishes.roundMinutes,
      resetMinutes: wishes.resetMinutes,
      helpers: wishes.helpers,
      seed: wishes.seed,
      absent: wishes.absent,
      late: wishes.late,
      sore: [],
      feetDown: [],
      pins: [],
      done: wishes.done,
    },
    objective: plan.objective,
    bound: plan.bound,
    gapPercent: plan.gapPercent,
    stoppedBy: plan.stoppedBy,
    parts: {
      rounds: { objective: parts.rounds.objective, bound: parts.rounds.bound },
      drills: { objective: parts.drills.objective, bound: parts.drills.bound },
    },
    leastShare: plan.leastShare,
    ...(plan.judged === undefined ? {} : { judged: plan.judged }),
    ...(plan.moves === undefined
      ? {}
      : { moves: { positions: plan.moves.positions, props: plan.moves.props } }),
    timeline: plan.timeline.map(lineForAssistant),
    checks: withoutPrivate(plan.checks, hide).map(
      ({ check, label, isTogether, minutes, people }) => ({
        check,
        label,
        isTogether,
        minutes,
        people: people.map(({ id }) => ({ id, why: '' })),
      }),
    ),
    spans: plan.spans.map(({ id, wall, fromM, toM, lowestM }) => ({
      id,
      wall,
      fromM,
      toM,
      lowestM,
    })),
    stations: plan.stations.map(({ letter, option, label, people, props, baseM, figures }) => ({
      letter,
      option,
      label,
      people,
      ...(props === undefined ? {} : { props }),
      // The figure, not how it came about.
      ...(figures === undefined ? {} : { figures: figures.map(figureAlone) }),
      ...(baseM === undefined ? {} : { baseM }),
    })),
    layOut: plan.layOut.map(({ letter, where, props, fallbackProps, figures, people }) => ({
      letter,
      where,
      props,
      fallbackProps,
      ...(figures === undefined ? {} : { figures: figures.map(figureAlone) }),
      people,
    })),
    rounds: plan.rounds.map(({ round, handsUsed, teacherHelps, pieces, people }) => ({
      round,
      handsUsed,
      teacherHelps,
      pieces: pieces.map(({ row, label, within, used, of }) => ({
        row,
        used,
        of,
        ...(label === undefined ? {} : { label }),
        ...(within === undefined ? {} : { within }),
      })),
      people: people.map(person),
    })),
    pins: [],
    notes: [],
    relief: null,
    binding: [],
  };
}

/** A line of the running order: what, how much, with what, and who does something else meanwhile. */
function lineForAssistant(line: PlanFile['timeline'][number]): PlanFile['timeline'][number] {
  const { id, kind, label, startsAt, minutes, drill, family, waves } = line;
  const { dose, position, isMove, fetch, putAway, own, sitOut } = line;
  return {
    id,
    kind,
    label,
    startsAt,
    minutes,
    ...(drill === undefined ? {} : { drill }),
    ...(family === undefined ? {} : { family }),
    ...(waves === undefined ? {} : { waves }),
    ...(dose === undefined ? {} : { dose }),
    ...(position === undefined ? {} : { position }),
    ...(isMove === undefined ? {} : { isMove }),
    ...(fetch === undefined ? {} : { fetch }),
    ...(putAway === undefined ? {} : { putAway }),
    ...(own === undefined
      ? {}
      : { own: own.map(({ id: who, instead }) => ({ id: who, instead })) }),
    ...(sitOut === undefined
      ? {}
      : { sitOut: sitOut.map((one) => ({ id: one.id, instead: one.instead })) }),
  };
}

/** What is done and set out, without what it is worth, what it loads or why it is chosen. */
function optionForAssistant(option: PlannedOption): PlannedOption {
  const {
    pass,
    id,
    label,
    stage,
    alternative,
    family,
    variant,
    wayUp,
    same,
    dose,
    spans,
    checkFirst,
    value,
    heightM,
    alongM,
    outM,
    pieces,
    props,
    shape,
    recipe,
    baseM,
    figures,
    radiusM,
    fallback,
    needsCircle,
    needsHand,
    asksFirst,
    assist,
    isAttempt,
    tries,
    isRest,
    canShare,
  } = option;
  return {
    pass,
    id,
    label,
    role: 'present',
    why: '',
    atDoor: [],
    loads: {},
    strains: [],
    value,
    heightM,
    pieces,
    props,
    ...(stage === undefined ? {} : { stage }),
    ...(alternative === undefined ? {} : { alternative }),
    ...(family === undefined ? {} : { family }),
    ...(variant === undefined ? {} : { variant }),
    ...(wayUp === undefined ? {} : { wayUp }),
    ...(same === undefined ? {} : { same }),
    ...(dose === undefined ? {} : { dose }),
    // The dose as it is paced.
    ...(spans === undefined ? {} : { spans }),
    ...(checkFirst === undefined ? {} : { checkFirst }),
    ...(alongM === undefined ? {} : { alongM }),
    ...(outM === undefined ? {} : { outM }),
    ...(shape === undefined ? {} : { shape }),
    ...(recipe === undefined ? {} : { recipe }),
    ...(baseM === undefined ? {} : { baseM }),
    // The figure, not how it came about.
    ...(figures === undefined ? {} : { figures: figures.map(figureAlone) }),
    ...(radiusM === undefined ? {} : { radiusM }),
    ...(fallback === undefined ? {} : { fallback }),
    ...(needsCircle === undefined ? {} : { needsCircle }),
    ...(needsHand === undefined ? {} : { needsHand }),
    ...(asksFirst === undefined ? {} : { asksFirst }),
    ...(assist === undefined ? {} : { assist }),
    ...(isAttempt === undefined ? {} : { isAttempt }),
    ...(tries === undefined ? {} : { tries }),
    ...(isRest === undefined ? {} : { isRest }),
    ...(canShare === undefined ? {} : { canShare }),
  };
}

/**
 * @param done drills of tonight: who sits one of them out is told, what else is closed is not
 * @param planned options that somebody is given tonight: what else would be open stays with the
 *   teacher; `null`: all of them
 * @param closedBefore checks that somebody is out of by what they said before the class
 */
export function preparedForAssistant(
  prepared: PreparedClass,
  hide: Hide,
  done: ReadonlySet<DrillKey> = new Set(),
  planned: ReadonlySet<string> | null = null,
  closedBefore: (id: string) => readonly ClosedKey[] = () => [],
): PreparedClass {
  const { profile, room, spans, pieces, families, checks, checkMinutes, people } = prepared;
  // What stands beside a planned option goes with it.
  const isTold = (own: readonly PlannedOption[]) => {
    const beside = own.flatMap(({ id, fallback }) => (planned?.has(id) ? (fallback ?? []) : []));
    return ({ id, isRest }: PlannedOption) =>
      planned === null || isRest === true || planned.has(id) || beside.includes(id);
  };
  return {
    profile: { key: profile.key, version: profile.version },
    room,
    spans,
    pieces,
    families,
    drills: {},
    checkMinutes,
    checks: withoutPrivate(checks, hide).map(
      ({ check, base, label, isTogether, minutes, people: own }) => ({
        check,
        // On what it is taken: a tap says which.
        ...(base === undefined ? {} : { base }),
        label,
        isTogether,
        minutes,
        gain: 0,
        people: own.map(({ id }) => ({ id, why: '' })),
      }),
    ),
    people: people.map((one) => {
      const { id, heightM, options, fallbacks, gone, closedChecks, closedDrills } = one;
      return {
        id,
        heightM,
        options: options.filter(isTold(options)).map(optionForAssistant),
        fallbacks: fallbacks.map(optionForAssistant),
        ...(gone === undefined ? {} : { gone: gone.map(optionForAssistant) }),
        shut: [],
        weak: [],
        closedDrills: closedDrills.filter((drill) => done.has(drill)),
        ...(one.drillPasses === undefined
          ? {}
          : {
              drillPasses: tableOf(entriesOf(one.drillPasses).filter(([drill]) => done.has(drill))),
            }),
        ...(one.closedCounters === undefined ? {} : { closedCounters: one.closedCounters }),
        ...(one.askedCounters === undefined ? {} : { askedCounters: one.askedCounters }),
        // That somebody is out of a hold, and nothing of why.
        ...(closedChecks === undefined
          ? {}
          : {
              closedChecks: [...new Set([...closedChecks, ...closedBefore(id)])].filter(
                (key) => !hide.isPrivate(checkOfKey(key)),
              ),
            }),
        checkLoads: [],
        capacities: {},
      };
    }),
  };
}
