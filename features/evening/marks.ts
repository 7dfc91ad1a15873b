/** From a plan file to what the drawings need: shared by Plan, print and Tonight. */
import { profileTable, settingsOf } from '@/core/catalog/profiles';
import { resolveBody } from '@/core/body/body';
import {
  getPiece,
  isOwnPiece,
  specOf,
  type PieceCount,
  type ShippedPiece,
} from '@/core/catalog/pieces';
import { getAlternative } from '@/core/catalog/alternatives';
import type { ProfileId, ProfileSettings } from '@/core/catalog/profiles';
import type { PlanFile } from '@/core/files/planFile';
import type { PlannedOption } from '@/core/compose/option';
import type { PreparedClass } from '@/core/compose/prepared';
import { rowsServed } from '@/core/pieces/rows';
import { findOption } from '@/core/compose/readBack';
import { drawStage } from '@/core/drawing/stageSide';
import { wallHeightFor } from '@/core/drawing/elevation';
import type { PlanMark } from '@/core/drawing/placeMark';
import type { Scene } from '@/core/drawing/scene';
import { forearmKickSetup } from '@/core/setups/forearmKick';
import type { KeptDistance } from '@/core/setups/kept';
import { keptDistances } from '@/core/setups/registry';
import type { SetupInput } from '@/core/setups/setup';
import type { LengthUnits } from '@/core/units/length';
import { rememberFor } from '@/core/units/remember';
import type { ClassMember } from '@/server/judging/classViews';
import { shortNames } from './names';

export interface DrawingContext {
  readonly prepared: PreparedClass;
  readonly members: readonly ClassMember[];
  readonly school: { readonly origin: ProfileId; readonly settings: ProfileSettings };
  readonly units: LengthUnits;
}

/** How many pieces of one mark lie at somebody's place. */
const countMarks = (option: PlannedOption | undefined, mark: ShippedPiece['mark']) =>
  (option?.props ?? [])
    .filter((one) => rowsServed(one).some((row) => !isOwnPiece(row) && getPiece(row).mark === mark))
    .reduce((sum, { count }) => sum + count, 0);

/** Everybody's place in a round as the plan from above draws it. */
export function toMarks(
  plan: PlanFile,
  round: number,
  prepared: PreparedClass,
  members: readonly ClassMember[],
): PlanMark[] {
  const names = shortNames(members);
  return (plan.rounds[round]?.people ?? []).map((one): PlanMark => {
    const option = findOption(prepared, one.id, one.option);
    const body = members.find(({ id }) => id === one.id)?.body;
    return {
      id: one.id,
      name: names.get(one.id) ?? one.id,
      heightM: body?.heightM ?? 1.7,
      blocks: countMarks(option, 'block'),
      hasChair: countMarks(option, 'chair') > 0,
      hasBolster: countMarks(option, 'bolster') > 0,
      needsHand: one.needsHand,
      place: one.place,
      ...(one.letter === null ? {} : { letter: one.letter }),
      ...(option?.baseM === undefined ? {} : { baseM: option.baseM }),
    };
  });
}

interface StationSize {
  readonly pxPerM: number;
  /** The same wall for the whole row. */
  readonly wallM?: number;
}

/** What of the cupboard a set-up is worked out with. */
export const piecesFor = (option: PlannedOption, pieces: readonly PieceCount[]) =>
  option.variant === undefined
    ? pieces
    : // The strap or the blanket stands in for the block: none between the hands.
      pieces.filter((one) => specOf(one).kind !== 'block');

const told = rememberFor<object, string>();

/** What something says, worked out once for each: a class of fourteen has some forty stations. */
const saying = (one: object): string => told(one, '', () => JSON.stringify(one));

/** Somebody's figures; what they are called changes no drawing. */
const sayingOf = (member: ClassMember): string =>
  told(member, 'figures', () => {
    const { name: _, ...drawn } = member;
    return JSON.stringify(drawn);
  });

const stations = rememberFor<PlannedOption, Scene | null>();

/** One set-up from the side, at this person's size. */
export function drawStation(
  option: PlannedOption,
  person: string,
  context: DrawingContext,
  size: StationSize,
): Scene | null {
  const { members, school, units, prepared } = context;
  const member = members.find(({ id }) => id === person);
  if (member === undefined) return null;
  const { pxPerM, wallM = '' } = size;
  const key = `${sayingOf(member)} ${saying(school)} ${units} ${saying(prepared.pieces)} ${pxPerM} ${wallM}`;
  return stations(option, key, () => drawAnew(option, member, context, size));
}

function drawAnew(
  option: PlannedOption,
  member: ClassMember,
  { prepared, school, units }: DrawingContext,
  { pxPerM, wallM }: StationSize,
): Scene | null {
  const options = {
    pxPerM,
    units,
    detail: 'row' as const,
    ...(wallM === undefined ? {} : { wallM }),
  };
  const { wayUp } = option;
  const input: SetupInput = {
    ...inputFor(
      { kept: keptAsListed(option), ...member },
      school,
      piecesFor(option, prepared.pieces),
    ),
    ...(wayUp === undefined ? {} : { wayUp }),
  };
  const { alternative, label, why, shape, recipe, alongM } = option;
  // Of a class begun before alternatives named their set-up there is no drawing that its list bears out.
  if (alternative !== undefined && recipe === undefined && option.figures !== undefined)
    return null;
  const how = alternative === undefined ? why : getAlternative(alternative).how;
  const needsWall = alongM !== undefined;
  return drawStage(input, { label, how, shape, recipe, needsWall }, options);
}

/** Where nothing is known of what somebody kept, the drawing takes what the plan lists. */
function keptAsListed({ recipe: setup, figures = [] }: PlannedOption): KeptDistance[] {
  if (setup === undefined) return [];
  return figures.map(({ id, metres }) => ({ setup, distance: id, metres, on: '', note: '' }));
}

/** What a member's set-ups are worked out from: their own figures win, as in the plan. */
const inputFor = (
  { body, kept = [], ranges }: ClassMember,
  { origin, settings }: DrawingContext['school'],
  pieces: readonly PieceCount[],
): SetupInput => ({
  body: resolveBody(body),
  profile: origin,
  // A class that was begun earlier knows nothing of what schools have come to differ in since.
  settings: { ...settingsOf(profileTable[origin]), ...settings },
  pieces,
  ...ranges,
  kept: keptDistances(kept),
});

const wallHeights = rememberFor<ClassMember, number>();

/** High enough for everybody's reach, so that the row stands on one line. */
export function rowWallM({ members, school, prepared }: DrawingContext): number {
  return Math.max(
    1.6,
    ...members.map((member) => {
      return wallHeights(member, `${saying(school)} ${saying(prepared.pieces)}`, () => {
        const input = inputFor(member, school, prepared.pieces);
        return wallHeightFor(input.body, forearmKickSetup(input));
      });
    }),
  );
}

/** Stations of one round with the people who are there then. */
export function stationsIn(plan: PlanFile, round: number, prepared: PreparedClass) {
  const placed = plan.rounds[round]?.people ?? [];
  return plan.stations.flatMap(({ letter, label, baseM, isFound }) => {
    const here = placed.filter((one) => one.letter === letter);
    const [first] = here;
    if (first === undefined) return [];
    const option = findOption(prepared, first.id, first.option);
    if (option === undefined) return [];
    return [{ letter, label, baseM, isFound, option, people: here }];
  });
}

/** `18:30` and so many minutes: `18:47`. */
export function clockAt(startsAt: string, minutes: number): string {
  const [hour, minute] = startsAt.split(':').map(Number);
  const total = hour! * 60 + minute! + Math.floor(minutes + 1e-6);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${two(Math.floor(total / 60) % 24)}:${two(total % 60)}`;
}
