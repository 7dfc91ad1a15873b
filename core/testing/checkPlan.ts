/**
 * The hard rules of handbook 08 once more, from a plan file and the class alone: its own geometry,
 * its own counting, its own reserves. Nothing of the composer is used here.
 */
import { alternativeTable } from '../catalog/alternatives';
import type { PieceCount } from '../catalog/pieces';
import { getStageIn } from '../catalog/school';
import type { DrillSpec } from '../catalog/drills';
import { evaluateCautions } from '../caution/evaluate';
import type { PlanFile } from '../files/planFile';
import { findPainFor } from '../ladder/gatekeeper';
import { judge } from '../ladder/verdict';
import { opensStage } from '../ladder/verdictKinds';
import type { Room } from '../room/room';
import {
  heightOver,
  laneBox,
  matWidthM,
  meet,
  reaches,
  slack,
  swingsOf,
  toBox,
  type Box,
  type Placed,
} from './checkFloor';
import { canServe } from './checkPieces';
import { findTired, stageOf, type CheckedPerson } from './checkTired';

export type { CheckedPerson } from './checkTired';

export interface CheckedClass {
  readonly room: Room;
  readonly pieces: readonly PieceCount[];
  readonly helpers: number;
  readonly people: readonly CheckedPerson[];
}

/** Legs go up without it being a try: about so far, as a share of height. */
const legsUp = (stage: string): number =>
  ({
    HB2: 0.8,
    HB9: 1.2,
    'HS-a': 1,
    'HS-b': 1,
    SS3: 0.6,
    SS5: 0.8,
    SS6: 0.9,
    SS7: 0.9,
    SS8: 0.9,
    SS9: 0.9,
  })[stage] ?? 0;

/** Every hard rule that a plan breaks, in words; empty for one that holds. */
export function checkPlan(
  plan: PlanFile,
  { room, pieces, helpers, people }: CheckedClass,
): string[] {
  const wrong: string[] = [];
  let teacherRounds = 0;
  const isDrillClosed = ({ opened }: CheckedPerson, { loads, strains, columns }: DrillSpec) =>
    findPainFor(opened.pains, { loads, strains }) !== null ||
    !evaluateCautions(opened.care, { columns }, opened.asOf).isOpen;
  for (const { round, people: placed } of plan.rounds) {
    const say = (words: string) => wrong.push(`round ${round}: ${words}`);
    const needs: PieceCount[] = [];
    const counted = new Set<string>();
    let hands = 0;
    const boxes: { id: string; box: Box; mate: string | undefined }[] = [];
    const circles: { id: string; x: number; y: number; r: number }[] = [];
    for (const one of placed) {
      const { id, option, place, needsHand } = one;
      const person = people.find((each) => each.id === id);
      if (person === undefined) {
        say(`${id} is nobody`);
        continue;
      }
      if (needsHand) hands += 1;
      if (option !== null && option !== 'rest') {
        const { opened, heightM } = person;
        const stage = stageOf(option);
        if (option.startsWith('instead-')) {
          const alternative =
            alternativeTable[option.split('+')[0]!.slice(8) as keyof typeof alternativeTable];
          const spec =
            'stage' in alternative
              ? getStageIn(opened.school, alternative.stage).spec
              : alternative;
          if (!evaluateCautions(opened.care, { columns: spec.columns }, opened.asOf).isOpen)
            say(`${id}: ${option} is closed by a caution`);
          const up = 'stage' in alternative ? legsUp(alternative.stage) * heightM : 0;
          if (up > heightOver(plan, room, one) + slack) say(`${id}: ${option} is too high there`);
          if (findPainFor(opened.pains, alternative)) say(`${id}: ${option} loads what hurts`);
        } else {
          const verdict = judge(stage!, opened);
          const { spec } = getStageIn(opened.school, stage!);
          if (!opensStage(verdict.kind)) say(`${id}: ${stage} is ${verdict.kind}`);
          if (needsHand && opened.consent === 'no') say(`${id} is touched against a no`);
          const isEased = option.split('+').includes('eased');
          if (verdict.kind === 'advance-with-support' && !needsHand && !isEased)
            say(`${id}: ${stage} without help`);
          if (isEased && (spec.isAttempt === true || verdict.needsAssist))
            say(`${id}: ${stage} cannot be eased`);
          if (verdict.atDoor.length > 0 && one.otherwise === undefined)
            say(`${id}: no fallback beside`);
          if (spec.needsWall && place.kind !== 'lane') say(`${id}: ${stage} without its wall`);
          if (spec.isFree && place.kind !== 'circle') say(`${id}: ${stage} without its circle`);
          const isOnHands = spec.family === 'handstand' || spec.family === 'arm-balance';
          const reach = (isOnHands ? 1.22 : 1.08) * heightM;
          const needed = spec.isAttempt || spec.isFree ? reach + 0.15 : legsUp(stage!) * heightM;
          if (place.kind === 'lane') {
            const span = plan.spans.find((each) => each.id === place.span)!;
            if (needed > span.lowestM + slack) say(`${id}: ${span.id} is too low`);
            // Legs swing up through an arc about the base: what hangs there is hit.
            const baseM = place.outM - heightM - 0.4;
            const arc = laneBox(room, span.wall, place.fromM, place.toM, baseM + 1.2 * heightM);
            const isHit = room.low.some(
              (low) =>
                low.heightM < needed - slack &&
                meet(arc, [low.xM, low.yM, low.xM + low.widthM, low.yM + low.depthM]),
            );
            if (isHit) say(`${id}: the legs meet something low`);
          }
          if (needed > room.ceilingM + slack) say(`${id}: the ceiling is too low`);
          if (place.kind === 'mat' && needed > heightOver(plan, room, one) + slack)
            say(`${id}: something hangs too low over the mat`);
          if (place.kind === 'circle' && place.radiusM < reach + 0.3 - slack)
            say(`${id}: the circle is too small`);
          if (place.kind === 'circle') {
            const isUnder = room.low.some(
              ({ xM, yM, widthM, depthM, heightM: low }) =>
                low < needed - slack &&
                reaches(place, [xM, yM, xM + widthM, yM + depthM], place.radiusM),
            );
            if (isUnder) say(`${id}: something hangs too low over the circle`);
          }
        }
      }
      const box = toBox(plan, room, one);
      if (box !== null) boxes.push({ id, box, mate: one.sharesWith });
      if (place.kind === 'circle') circles.push({ id, x: place.x, y: place.y, r: place.radiusM });
      if (
        box !== null &&
        (box[0] < -slack ||
          box[1] < -slack ||
          box[2] > room.widthM + slack ||
          box[3] > room.depthM + slack)
      )
        say(`${id} lies outside the room`);
      if (one.sharesWith !== undefined && counted.has(one.sharesWith)) continue;
      counted.add(id);
      const line = plan.layOut.find(
        ({ letter, people: own }) => letter === one.letter && own.includes(id),
      );
      needs.push(...(line?.props ?? []).map(({ piece, count }) => ({ piece, count })));
    }
    if (!canServe(needs, pieces)) say('more pieces than the cupboard holds');
    for (const { id, box } of boxes) {
      const circle = circles.find((one) => one.id === id);
      const isIn = (swing: Box) =>
        circle === undefined ? meet(box, swing) : reaches(circle, swing, circle.r);
      if (swingsOf(room).some(isIn)) say(`${id} is in the swing of a door`);
    }
    boxes.forEach((a, index) => {
      for (const b of boxes.slice(index + 1)) {
        if (a.mate === b.id || b.mate === a.id) continue;
        if (meet(a.box, b.box)) say(`${a.id} and ${b.id} lie on each other`);
      }
      for (const { id, x, y, r } of circles) {
        if (id !== a.id && reaches({ x, y }, a.box, r))
          say(`${a.id} is inside the circle of ${id}`);
      }
    });
    circles.forEach((a, index) => {
      for (const b of circles.slice(index + 1)) {
        if (Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r - slack)
          say(`circles of ${a.id} and ${b.id}`);
      }
    });
    const falls = (each: Placed) =>
      each.option !== null &&
      people[0]!.opened.school.stages.get(stageOf(each.option))?.spec.isAttempt === true &&
      !each.option.includes('+eased');
    const atWalls = placed.flatMap((one) => {
      if (one.place.kind !== 'lane' || !falls(one)) return [];
      const { span, fromM, toM } = one.place;
      const wall = plan.spans.find(({ id }) => id === span)!.wall;
      return [{ id: one.id, mate: one.sharesWith, wall, fromM, toM }];
    });
    atWalls.forEach((a, index) => {
      for (const b of atWalls.slice(index + 1)) {
        if (a.wall !== b.wall || a.mate === b.id || b.mate === a.id) continue;
        const apart = Math.max(a.fromM, b.fromM) - Math.min(a.toM, b.toM);
        if (apart < matWidthM - slack) say(`${a.id} and ${b.id} may fall on each other`);
      }
    });
    for (const span of plan.spans) {
      const here = placed
        .flatMap((one) =>
          one.place.kind === 'lane' && one.place.span === span.id
            ? [{ ...one, lane: one.place }]
            : [],
        )
        .sort((a, b) => a.lane.fromM - b.lane.fromM);
      here.forEach((one) => {
        if (one.lane.fromM < span.fromM - slack || one.lane.toM > span.toM + slack)
          say(`${one.id} stands beyond ${span.id}`);
      });
    }
    if (hands > helpers + 1) say('more hands than there are');
    if (hands > helpers) teacherRounds += 1;
  }
  if (plan.rounds.length > 0 && teacherRounds >= plan.rounds.length)
    wrong.push('the teacher never watches');
  for (const person of people) {
    const mine = plan.rounds.map(({ people: placed }) => placed.find(({ id }) => id === person.id));
    if (mine.every((one) => one === undefined)) continue;
    if (mine.some((one) => one === undefined)) wrong.push(`${person.id} misses a round`);
    const tries = mine.filter(
      (one) =>
        one?.option &&
        person.opened.school.stages.get(stageOf(one.option))?.spec.isAttempt === true,
    ).length;
    if (tries === 1 && plan.wishes.late.length === 0 && plan.wishes.done === 0)
      wrong.push(`${person.id} tries only once`);
    const closed = new Set(
      Object.entries(person.opened.school.catalog.drills).flatMap(([drill, spec]) =>
        isDrillClosed(person, spec) ? [drill] : [],
      ),
    );
    wrong.push(...findTired(plan, person, closed));
  }
  for (const { kind, label, fetch = [], sitOut = [] } of plan.timeline) {
    const missing = fetch.filter((piece) => !canServe([{ piece, count: 1 }], pieces));
    if (missing.length > 0)
      wrong.push(`${label}: fetches ${missing.join(', ')}, and there is none`);
    const here = people.length - plan.wishes.absent.length;
    // Whoever is asked at the door may yet do it; a pause is one for everybody, whatever they do in it.
    const out = sitOut.filter(({ unlessAsked }) => unlessAsked !== true).length;
    if (here > 0 && out >= here && kind !== 'pause') wrong.push(`${label}: done by nobody`);
  }
  const minutes = plan.timeline.reduce((sum, item) => sum + item.minutes, 0);
  if (minutes > plan.wishes.minutes + slack && plan.rounds.length > 0)
    wrong.push('longer than the class');
  return wrong;
}
