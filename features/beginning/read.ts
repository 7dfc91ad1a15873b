/** What the guided beginning stands on: everything that is there already, and what may be said. */
import { resolveBody } from '@/core/body/body';
import type { MoveId } from '@/core/atlas/moves';
import { drawStage } from '@/core/drawing/stageSide';
import type { Scene } from '@/core/drawing/scene';
import { toPicture, type Picture } from '@/core/drawing/svg';
import { pieceIds, specOf, type PieceId, type PieceSpec } from '@/core/catalog/pieces';
import { ladderIds, type LadderId, type StageKey, type StageSpec } from '@/core/catalog/stage';
import { getStageIn, type School } from '@/core/catalog/school';
import { findSetup } from '@/core/compose/needs';
import { judge } from '@/core/ladder/verdict';
import type { SetupInput } from '@/core/setups/setup';
import type { LengthUnits } from '@/core/units/length';
import { findCourse, getSettings } from '@/db/courses';
import { listCupboard } from '@/db/cupboards';
import { listCoursePeople } from '@/db/people';
import { findPlan } from '@/db/plans';
import { listPieces } from '@/db/cupboards';
import { rememberFor } from '@/core/units/remember';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readCases } from '@/server/judging/cases';
import { findEvening, usualWishes } from '@/server/judging/classViews';
import { findRoom } from '@/server/judging/rooms';
import { readSchool } from '@/server/judging/schools';
import type { BeginDone } from './steps';

export interface BeginView {
  readonly course: { readonly id: number; readonly name: string; readonly place: string } | null;
  readonly people: readonly { readonly name: string; readonly hasHeight: boolean }[];
  readonly units: LengthUnits;
  readonly done: BeginDone;
}

/** @param courseId `null`: nothing is begun */
export function readBeginning(courseId: number | null): BeginView {
  const db = database();
  const { units } = getSettings(db);
  const course = courseId === null ? null : findCourse(db, courseId);
  if (course === null) {
    return {
      course: null,
      people: [],
      units,
      done: {
        place: false,
        people: false,
        room: false,
        cupboard: false,
        placing: false,
        class: false,
      },
    };
  }
  const people = listCoursePeople(db, course.id);
  const evening = findEvening(db, course.id, today());
  const plan = evening === null ? null : findPlan(db, course.id, evening.meeting.date);
  return {
    course: { id: course.id, name: course.name, place: course.place },
    units,
    people: people.map(({ name, heightTyped }) => ({ name, hasHeight: heightTyped !== '' })),
    done: {
      place: true,
      people: people.length > 0,
      room: !findRoom(db, course.id).isGuessed,
      cupboard: listCupboard(db, course.id).some(({ count }) => count > 0),
      placing: people.some(({ placings }) => Object.keys(placings).length > 0),
      class: plan?.plan !== null && plan?.plan !== undefined,
    },
  };
}

/** One column of the placing: a shape to point at. */
export interface PlacingRung {
  readonly stage: StageKey;
  readonly label: string;
  readonly how: string;
  readonly move: MoveId | null;
  readonly picture: Picture | null;
  /** What it is done with, where a picture alone does not tell it from the rung before. */
  readonly pieces: readonly { readonly piece: PieceId; readonly spec: PieceSpec }[];
}

export interface PlacingPerson {
  readonly id: number;
  readonly name: string;
  /** By family: the stage said, `null` for "never seen"; absent: nothing was said. */
  readonly said: Readonly<Partial<Record<LadderId, StageKey | null>>>;
  /** Rungs that are closed to this person: nothing is said about them here. */
  readonly closed: readonly StageKey[];
}

export interface PlacingView {
  readonly rungs: Readonly<Record<LadderId, readonly PlacingRung[]>>;
  readonly people: readonly PlacingPerson[];
  /** Families of the first evening, which come first. */
  readonly families: readonly LadderId[];
}

const pictured = { heightM: 1.7 } as const;
const pxPerM = 34;

const pictures = rememberFor<School, PlacingView['rungs']>();

/** A cupboard that lacks nothing. */
const plenty = pieceIds.map((piece) => ({ piece, count: 12 }));
const mostShown = 2;

/** What a rung is done with, as it is usually made: a mat says nothing. */
function piecesOf(spec: StageSpec, input: SetupInput): PlacingRung['pieces'] {
  const [usual] = findSetup(spec, { ...input, pieces: plenty }).ways;
  return (usual?.props ?? [])
    .filter((one) => one.piece !== 'mat')
    .slice(0, mostShown)
    .map((one) => ({ piece: one.piece, spec: specOf(one) }));
}

function drawRungs(school: School): PlacingView['rungs'] {
  const body = resolveBody(pictured);
  const rungsOf = (family: LadderId): PlacingRung[] => {
    // The moves whose shape at rest is in the row already, by how that looks.
    const seen = new Map<string, MoveId | undefined>();
    /** What moves is drawn as it is on the way, where at rest it looks like a rung before it. */
    const drawApart = (
      draw: (shape: StageSpec['shape']) => Scene,
      shape: NonNullable<StageSpec['shape']>,
      move: MoveId | undefined,
    ): Scene => {
      const still = draw(shape);
      const looks = JSON.stringify(still.shapes);
      if (!seen.has(looks)) seen.set(looks, move);
      if (move === undefined || seen.get(looks) === move) return still;
      return draw({ ...shape, moment: { move, key: 1 } });
    };
    return school.ladders[family].flatMap((stage): PlacingRung[] => {
      const { spec, ways } = getStageIn(school, stage);
      if (ways.length === 0 || spec.isAside === true || spec.branch !== undefined) return [];
      const { label, how, shape, recipe } = spec;
      const input = { body, profile: school.profile.origin, settings: school.settings, pieces: [] };
      const draw = (drawn: StageSpec['shape']) =>
        drawStage(
          input,
          { label, how, shape: drawn, recipe },
          { pxPerM, units: 'cm', detail: 'picture' },
        );
      const picture = shape === undefined ? null : toPicture(drawApart(draw, shape, spec.move));
      return [
        { stage, label, how, move: spec.move ?? null, picture, pieces: piecesOf(spec, input) },
      ];
    });
  };
  return Object.fromEntries(ladderIds.map((family) => [family, rungsOf(family)])) as Record<
    LadderId,
    PlacingRung[]
  >;
}

/** Every person of a course and every rung of the main lines, drawn at one usual size. */
export function readPlacing(courseId: number): PlacingView | null {
  const db = database();
  const day = today();
  const evening = findEvening(db, courseId, day);
  if (evening === null) return null;
  const school = readSchool(db, evening.course.profile);
  const pieces = listPieces(db, courseId);
  const rungs = pictures(school, '', () => drawRungs(school));
  const people = listCoursePeople(db, courseId);
  const cases = readCases(db, people, () => ({ school, day, pieces }));
  return {
    rungs,
    families: usualWishes(evening.school, evening.meeting, evening.family).families,
    people: people.map((person) => {
      const opened = cases.get(person.id)!;
      const closed = ladderIds.flatMap((family) =>
        rungs[family].flatMap(({ stage }) => (judge(stage, opened).kind === 'stop' ? [stage] : [])),
      );
      return {
        id: person.id,
        name: person.name,
        said: Object.fromEntries(
          Object.entries(person.placings).map(([family, { stage }]) => [family, stage]),
        ),
        closed,
      };
    }),
  };
}
