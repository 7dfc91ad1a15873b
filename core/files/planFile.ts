/** A composed class as a file: the same for the command, the app and whoever else reads it. */
import { z } from 'zod';
import { checkKey, drillKey, pieceKey, stageKey } from '../catalog/keys';
import { wallIds } from '../room/room';
import type { PieceCount } from '../catalog/pieces';
import { painPlaces } from '../catalog/regions';
import { drillPositions } from '../catalog/drills';
import { ladderIds } from '../catalog/stage';
import { themeIds } from '../catalog/themes';
import { spareChoices } from '../compose/budget';
import { checksTonight } from '../compose/checksTonight';
import { restsOn } from '../compose/gained';
import { bindingWords, moreWords, type Binding } from '../compose/bindingWords';
import { optionRoles } from '../compose/option';
import type { PreparedClass, Wishes } from '../compose/prepared';
import { findOption } from '../compose/readBack';
import type { Relief } from '../compose/relief';
import { itemKinds } from '../compose/timeline';
import { countMoves, writeLines } from './planLines';
import { listLayOut } from '../compose/layOut';
import { findStation, listStations, type KeptLetter } from '../compose/stations';
import { distanceIds } from '../setups/distanceWords';
import type { ClassPlan, PlannedPerson } from '../compose/writePlan';
import { pinInput } from './classFile';

const place = z.union([
  z.strictObject({
    kind: z.literal('lane'),
    span: z.string(),
    fromM: z.number(),
    toM: z.number(),
    outM: z.number(),
  }),
  z.strictObject({ kind: z.literal('circle'), x: z.number(), y: z.number(), radiusM: z.number() }),
  z.strictObject({
    kind: z.literal('mat'),
    x: z.number(),
    y: z.number(),
    isAcross: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('aside') }),
]);

const ownLabel = z
  .string()
  .optional()
  .meta({ description: 'What a piece of one’s own is called.' });
const props = z.array(z.strictObject({ piece: pieceKey, count: z.int(), label: ownLabel }));
const rowInUse = z.strictObject({
  row: pieceKey,
  label: ownLabel,
  within: pieceKey.optional().meta({ description: 'The row that it counts for as well.' }),
  used: z.number(),
  of: z.number(),
});
const figure = z.strictObject({
  id: z.enum(distanceIds),
  metres: z.number(),
  isFound: z.literal(true).optional(),
  isEstimated: z.literal(true).optional(),
});
const more = z.strictObject({
  what: z.enum(['piece', 'wall', 'helper', 'minutes']),
  id: z.string(),
  more: z.number(),
  label: ownLabel,
  words: z.string(),
});

export const composeOutput = z.strictObject({
  format: z.literal('levitar-plan'),
  version: z.literal(1),
  profile: z.strictObject({ key: z.string(), version: z.number() }),
  families: z.array(z.enum(ladderIds)),
  wishes: z.strictObject({
    minutes: z.number(),
    rounds: z.int(),
    roundMinutes: z.number(),
    resetMinutes: z.number(),
    helpers: z.int(),
    seed: z.int(),
    absent: z.array(z.string()),
    late: z.array(z.strictObject({ person: z.string(), round: z.int() })),
    sore: z.array(z.strictObject({ person: z.string(), place: z.enum(painPlaces) })),
    feetDown: z.array(z.string()).default([]),
    pins: z.array(pinInput),
    order: z.array(z.strictObject({ drill: drillKey, minutes: z.number() })).optional(),
    done: z.int(),
    theme: z.enum(themeIds).optional(),
    spare: z.enum(spareChoices).optional(),
  }),
  objective: z.number(),
  bound: z.number(),
  gapPercent: z.number().meta({
    description: 'How far the plan can be from the best there is, in percent of the plan.',
  }),
  stoppedBy: z.enum(['gap', 'nodes', 'time', 'quick']),
  parts: z.strictObject({
    rounds: z.strictObject({ objective: z.number(), bound: z.number() }),
    drills: z.strictObject({ objective: z.number(), bound: z.number() }),
  }),
  leastShare: z.number(),
  /** How often the class it follows had been judged anew. */
  judged: z.int().optional(),
  /** Changes of position and of things laid out before the rounds. */
  moves: z.strictObject({ positions: z.int(), props: z.int() }).optional(),
  timeline: z.array(
    z.strictObject({
      id: z.string(),
      kind: z.enum(itemKinds),
      label: z.string(),
      startsAt: z.number(),
      minutes: z.number(),
      drill: drillKey.optional(),
      /** Whose holds it follows. */
      family: z.enum(ladderIds).optional(),
      waves: z.number().optional(),
      /** How much of it, in words. */
      dose: z.string().optional(),
      position: z.enum(drillPositions).optional(),
      /** Everybody moves to get here. */
      isMove: z.literal(true).optional(),
      /** Rows of the cupboard that are fetched before it, and put away after. */
      fetch: z.array(pieceKey).optional(),
      putAway: z.array(pieceKey).optional(),
      /** Who does something of their own after what they held, as a teacher's own rung says. */
      own: z.array(z.strictObject({ id: z.string(), instead: z.string() })).optional(),
      /** Who sits it out, and what instead; never why. */
      sitOut: z
        .array(
          z.strictObject({
            id: z.string(),
            instead: z.string(),
            /** They do it once the first questions are asked at the door and nothing is named. */
            unlessAsked: z.literal(true).optional(),
          }),
        )
        .optional(),
    }),
  ),
  checks: z.array(
    z.strictObject({
      check: checkKey,
      label: z.string(),
      isTogether: z.boolean(),
      minutes: z.number(),
      people: z.array(z.strictObject({ id: z.string(), why: z.string() })),
    }),
  ),
  restsOn: z
    .strictObject({
      cupboard: z.partialRecord(pieceKey, z.int()),
      wallM: z.number(),
      floorM2: z.number(),
      open: z.array(z.strictObject({ id: z.string(), stages: z.array(stageKey) })),
    })
    .optional()
    .meta({
      description:
        'What there was when it was planned: pieces, metres of usable wall, square metres of floor, rungs open to each person. Absent in plans of before it was written down.',
    }),
  spans: z.array(
    z.strictObject({
      id: z.string(),
      wall: z.enum(wallIds),
      fromM: z.number(),
      toM: z.number(),
      lowestM: z.number(),
    }),
  ),
  stations: z.array(
    z.strictObject({
      letter: z.string(),
      option: z.string(),
      label: z.string(),
      people: z.array(z.string()),
      /** Absent in plans that were kept before it was said. */
      props: props.optional(),
      baseM: z.number().optional(),
      figures: z.array(figure).optional(),
      /** That distance was found by trying. */
      isFound: z.literal(true).optional(),
    }),
  ),
  layOut: z.array(
    z.strictObject({
      letter: z.string(),
      where: z.string(),
      props,
      fallbackProps: props,
      /** What is set out by the tape. */
      figures: z.array(figure).optional(),
      people: z.array(z.string()),
    }),
  ),
  rounds: z.array(
    z.strictObject({
      round: z.int(),
      handsUsed: z.int(),
      teacherHelps: z.boolean(),
      pieces: z.array(rowInUse),
      people: z.array(
        z.strictObject({
          id: z.string(),
          letter: z.string().nullable(),
          option: z.string().nullable(),
          label: z.string(),
          /** `null`: not told, as to an assistant. */
          role: z.enum(optionRoles).nullable(),
          why: z.string(),
          place,
          sharesWith: z.string().optional(),
          /** What of it this round holds, in words. */
          dose: z.string().optional(),
          /** Tries in this round. */
          tries: z.int().optional(),
          needsHand: z.boolean(),
          asksFirst: z.boolean(),
          confirmAtDoor: z.array(z.string()),
          otherwise: z.string().optional(),
        }),
      ),
    }),
  ),
  pins: z.array(z.strictObject({ pin: pinInput, isKept: z.boolean(), why: z.string().optional() })),
  notes: z.array(z.string()),
  relief: z
    .strictObject({
      people: z.array(z.string()),
      more: z.array(more),
      beyond: z.array(z.string()),
    })
    .nullable(),
  binding: z.array(more.extend({ gain: z.number().nullable(), serves: z.array(z.string()) })),
});

export type PlanFile = z.infer<typeof composeOutput>;

/** What a plan file has besides the plan. */
export interface PlanExtras {
  readonly binding: readonly Binding[];
  readonly relief: Relief | null;
  /** Letters of the plan that stood, once printed or begun: they stay. */
  readonly letters?: readonly KeptLetter[];
}

/** Everything the teacher is shown, as plain data. */
export function toPlanFile(
  plan: ClassPlan,
  prepared: PreparedClass,
  wishes: Wishes,
  { binding, relief, letters }: PlanExtras,
): PlanFile {
  const stations = listStations(plan, prepared.spans, letters);
  const nameProps = (list: readonly PieceCount[]) =>
    list.map(({ piece, count, own }) => ({
      piece,
      count,
      ...(own === undefined ? {} : { label: own.label }),
    }));
  const describe = ({ id, option, place: at, sharesWith }: PlannedPerson, round: number) => {
    // Rounds are counted from 1 where somebody says from which on they are there.
    const from = wishes.late.find((one) => one.person === id)?.round ?? 0;
    const nothing =
      from > round
        ? { label: 'Not here yet', why: `comes for round ${from}` }
        : { label: 'Out', why: 'a round out counts as rest' };
    const beside = findOption(prepared, id, option?.fallback ?? null);
    return {
      id,
      letter: findStation(stations, id, option)?.letter ?? null,
      option: option?.id ?? null,
      label: option?.label ?? nothing.label,
      role: option?.role ?? 'rest',
      why: option?.why ?? nothing.why,
      place: at,
      ...(sharesWith === undefined ? {} : { sharesWith }),
      ...(option?.dose === undefined ? {} : { dose: option.dose }),
      ...(option?.tries === undefined ? {} : { tries: option.tries }),
      needsHand: option?.needsHand === true,
      asksFirst: option?.asksFirst === true,
      confirmAtDoor: [...(option?.atDoor ?? [])],
      ...(beside === undefined ? {} : { otherwise: beside.label }),
    };
  };
  const lines = writeLines(plan.timeline, prepared, wishes, plan.rounds);
  // What was begun is the class's own, and stands in its order.
  const { begun: _, inTime: __, ...wished } = wishes;
  const { objective, bound, gapPercent, stoppedBy, parts, leastShare } = plan;
  return {
    format: 'levitar-plan',
    version: 1,
    profile: { ...prepared.profile },
    families: [...prepared.families],
    wishes: JSON.parse(JSON.stringify(wished)) as PlanFile['wishes'],
    objective,
    bound,
    gapPercent,
    stoppedBy,
    parts,
    leastShare,
    timeline: lines,
    moves: countMoves(lines),
    checks: checksTonight(prepared, wishes).map(
      ({ check, label, isTogether, minutes, people }) => ({
        check,
        label,
        isTogether,
        minutes,
        people: people.map((one) => ({ ...one })),
      }),
    ),
    restsOn: restsOn(prepared),
    spans: prepared.spans.map((span) => ({ ...span })),
    stations: stations.map(({ letter, option, people, isFound }) => ({
      letter,
      option: option.id,
      label: option.label,
      people: [...people],
      props: nameProps(option.props),
      ...(option.baseM === undefined ? {} : { baseM: option.baseM }),
      ...(option.figures === undefined
        ? {}
        : { figures: option.figures.map((one) => ({ ...one })) }),
      ...(isFound ? { isFound: true as const } : {}),
    })),
    layOut: listLayOut(plan, stations, prepared).map(
      ({ letter, where, props: out, fallbackProps, figures, people }) => ({
        letter,
        where,
        props: nameProps(out),
        fallbackProps: nameProps(fallbackProps),
        ...(figures === undefined ? {} : { figures: figures.map((one) => ({ ...one })) }),
        people: [...people],
      }),
    ),
    rounds: plan.rounds.map(({ people, pieces, handsUsed, teacherHelps }, index) => ({
      round: index + 1,
      handsUsed,
      teacherHelps,
      pieces: pieces.map((one) => ({ ...one })),
      people: people.map((one) => describe(one, index + 1)),
    })),
    pins: plan.pins.map(({ pin, isKept, why }) => ({
      pin: pin as PlanFile['pins'][number]['pin'],
      isKept,
      ...(why === undefined ? {} : { why }),
    })),
    notes: [...plan.notes],
    relief:
      relief === null
        ? null
        : {
            people: [...new Set(relief.asks.map(({ person }) => person))],
            more: relief.more.map((one) => ({ ...one, words: moreWords(one) })),
            beyond: [...relief.beyond],
          },
    binding: binding.map((one) => ({
      ...one,
      serves: [...one.serves],
      words: bindingWords(one),
    })),
  };
}
