import { alternativeTable } from '../catalog/alternatives';
import { checkTable } from '../catalog/checks';
import { moveOfCheck, baseIds } from '../catalog/checkKinds';
import { drillTable } from '../catalog/drills';
import { ladderTable } from '../catalog/stage';
import { stageTable } from '../catalog/stages';
import { wayUpTable } from '../catalog/waysUp';
import { resolveBody } from '../body/body';
import { bearing, distanceOf } from '../posture/geometry';
import { pointsOf, type FigureJoints } from '../posture/joints';
import { placeOf } from './held';
import { getMove, moveIds, type MoveId } from './moves';
import { figureAt, figureOn, listSteps, openMove, roundS } from './open';

const bodies = [
  { heightM: 1.7, massKg: 64 },
  { heightM: 1.52, massKg: 80 },
  { heightM: 1.94, massKg: 78 },
].map((given) => resolveBody(given));
const body = bodies[0]!;

const limbsOf = ({
  hip,
  shoulder,
  elbow,
  wrist,
  knee,
  ankle,
  ...rest
}: FigureJoints): Readonly<Record<string, number>> => ({
  trunk: distanceOf(hip, shoulder),
  upperArm: distanceOf(shoulder, elbow),
  forearm: distanceOf(elbow, wrist),
  thigh: distanceOf(hip, knee),
  shank: distanceOf(knee, ankle),
  ...(rest.otherLeg === undefined
    ? {}
    : {
        farThigh: distanceOf(hip, rest.otherLeg.knee),
        farShank: distanceOf(rest.otherLeg.knee, rest.otherLeg.ankle),
      }),
});

/** A limb is as long as in the poses it goes between: forearms turned inwards look shorter in both. */
const spanOf = (a: Readonly<Record<string, number>>, b: typeof a, limb: string) => {
  // A second leg that only one of them shows is the length of the first.
  const near = limb.replace('far', '').toLowerCase();
  const both = [a[limb] ?? a[near]!, b[limb] ?? b[near]!];
  return [Math.min(...both), Math.max(...both)] as const;
};

const frames = 16;
const lowestOf = (joints: FigureJoints) => Math.min(...pointsOf(joints).map(([, y]) => y));

describe.each(moveIds)('%s', (id: MoveId) => {
  const move = getMove(id);

  it('folds no hand back along its forearm', () => {
    for (const { elbow, wrist, fingertip, otherArm } of openMove(body, move).figures) {
      const arms = [{ elbow, wrist, fingertip }, ...(otherArm === undefined ? [] : [otherArm])];
      for (const arm of arms) {
        const turn = bearing(arm.elbow, arm.wrist) - bearing(arm.wrist, arm.fingertip);
        // Leaning over flat hands bends the wrist a little beyond the square.
        expect(Math.abs(((turn + 540) % 360) - 180)).toBeLessThan(110);
      }
    }
  });

  it('has two to six poses, each with its words', () => {
    expect(move.keys.length).toBeGreaterThanOrEqual(2);
    expect(move.keys.length).toBeLessThanOrEqual(6);
    for (const { words } of move.keys) expect(words).toMatch(/^[a-z].*[^.]$/);
  });

  it.each(bodies)('changes no limb, keeps its hold and the floor, and never jumps (%#)', (one) => {
    const open = openMove(one, move);
    const floor = Math.min(0, ...open.figures.map(lowestOf));
    expect(floor).toBeGreaterThan(-0.045);
    const worst = { limb: 0, hold: 0, below: 0, jump: 0, throughWall: 0 };
    const { wall } = open;
    for (const step of listSteps(move)) {
      const held = open.held[Math.min(step.from, step.to)]!;
      const [a, b] = [open.figures[step.from]!, open.figures[step.to]!];
      let before = pointsOf(a);
      for (let index = 0; index <= frames; index += 1) {
        const figure = figureOn(open, step, index / frames);
        const points = pointsOf(figure);
        for (const [limb, m] of Object.entries(limbsOf(figure))) {
          const [low, high] = spanOf(limbsOf(a), limbsOf(b), limb);
          worst.limb = Math.max(worst.limb, low - m, m - high);
        }
        for (const place of held) {
          const at = placeOf(figure, place);
          const [from, to] = [placeOf(a, place), placeOf(b, place)];
          const off = distanceOf(from, at) + distanceOf(at, to) - distanceOf(from, to);
          worst.hold = Math.max(worst.hold, off);
        }
        worst.below = Math.max(worst.below, floor - lowestOf(figure));
        if (wall !== undefined) {
          const over = points.map((point) => (point[0] - wall.x) * wall.side);
          worst.throughWall = Math.max(worst.throughWall, ...over);
        }
        const was = before;
        const moved = points.map((point, place) => distanceOf(point, was[place] ?? point));
        worst.jump = Math.max(worst.jump, ...moved);
        before = points;
      }
    }
    expect(worst.limb).toBeLessThan(0.002);
    expect(worst.hold).toBeLessThan(0.005);
    expect(worst.below).toBeLessThan(0.045);
    expect(worst.jump).toBeLessThan(0.45);
    expect(worst.throughWall).toBeLessThan(0.005);
  });
});

describe('what lies on the floor', () => {
  it.each([
    ['child', 1, 'wrist'],
    ['to-child', 1, 'wrist'],
    ['sit-back', 1, 'wrist'],
    ['rest', 1, 'wrist'],
    ['cool-down', 2, 'wrist'],
    ['arm-overhead', 1, 'wrist'],
    ['prayer-melt', 0, 'elbow'],
    ['prayer-melt', 1, 'elbow'],
    ['chair-dog', 0, 'toe'],
    ['dolphin-chair', 1, 'heel'],
    ['leg-lengtheners', 2, 'toe'],
  ] as const)('in %s, pose %i, the %s does not hover', (id, key, place) => {
    for (const one of bodies) {
      const [, y] = openMove(one, getMove(id)).figures[key]![place];
      expect(Math.abs(y)).toBeLessThan(0.03 * one.heightM);
    }
  });
});

describe('a movement as time', () => {
  const move = getMove('plank');
  const open = openMove(body, move);

  it('begins again where it began, at the pace of the breath', () => {
    const all = roundS(move);
    expect(all).toBeGreaterThan(5);
    expect(figureAt(move, open, 0)).toEqual({ figure: open.figures[0], key: 0 });
    expect(figureAt(move, open, all + 0.1).key).toBe(0);
    expect(figureAt(move, open, all / 2).key).toBe(1);
  });

  it('ends where it ends when it goes round, and begins anew', () => {
    const exit = getMove('hand-down');
    const steps = listSteps(exit);
    expect(steps.at(-1)).toMatchObject({ from: 2, to: 2 });
    expect(steps.map(({ to }) => to)).toEqual([1, 2, 2]);
  });
});

describe('every row of the catalog is drawn', () => {
  const named: (readonly [string, MoveId | null | undefined])[] = [
    ...Object.entries(drillTable).map(([id, { move }]) => [id, move] as const),
    ...Object.entries(checkTable).flatMap(([id, spec]) =>
      baseIds.map((base) => [`${id} on ${base}`, moveOfCheck(spec, base)] as const),
    ),
    ...Object.entries(alternativeTable).map(([id, { move }]) => [id, move] as const),
    ...Object.entries(wayUpTable).map(([id, { move }]) => [id, move] as const),
    ...Object.entries(ladderTable).map(([id, { counter }]) => [id, counter.move] as const),
    ...Object.entries(stageTable).flatMap(([id, { move, leave }]) => [
      [id, move] as const,
      [`${id}, exit`, leave] as const,
    ]),
  ];

  it.each(named)('%s', (_, move) => {
    expect(moveIds).toContain(move);
  });

  it('and no drawing is there for nothing', () => {
    const used = new Set(named.map(([, move]) => move));
    expect(moveIds.filter((id) => !used.has(id))).toEqual([]);
  });
});
