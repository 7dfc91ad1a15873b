import { getHelp } from '../atlas/help';
import { getMove } from '../atlas/moves';
import { openMove } from '../atlas/open';
import { stageTable } from '../catalog/stages';
import type { StageSpec } from '../catalog/stage';
import { distanceOf } from '../posture/geometry';
import { pointsOf, type Point } from '../posture/joints';
import { placeHelper } from './helper';
import { atlasBody } from './strip';

const helped = Object.entries<StageSpec>(stageTable).flatMap(([id, { move, help, assist }]) =>
  help === undefined || move === undefined ? [] : [{ id, move, help, assist }],
);

describe('a helper', () => {
  it.each(helped)('$id ($help): stands on the floor, and holds what is said', ({ move, help }) => {
    const open = openMove(atlasBody, getMove(move));
    const figure = open.figures.at(-1)!;
    const { joints, x, way } = placeHelper(atlasBody, figure, help, open);
    const inRoom = ([ownX, y]: Point): Point => [x + way * ownX, y];
    expect(Math.min(joints.heel[1], joints.toe[1])).toBeGreaterThan(-0.01);
    const hand = inRoom(joints.fingertip);
    const nearest = Math.min(...pointsOf(figure).map((point) => distanceOf(point, hand)));
    const { at } = getHelp(help);
    // Whoever watches touches nobody; whoever holds a chair holds no body.
    if (at === 'nothing') expect(nearest).toBeGreaterThan(0.12);
    else if (at !== 'chair') expect(nearest).toBeLessThan(0.3);
    const arm = distanceOf(joints.shoulder, joints.elbow);
    expect(arm).toBeCloseTo(atlasBody.lengths.upperArm, 6);
  });

  it('goes with every assist in words, but for those that are looked at or measured', () => {
    const silent = Object.entries<StageSpec>(stageTable)
      .filter(([, { assist, help }]) => assist !== null && help === undefined)
      .map(([, { assist }]) => assist);
    expect(silent.sort()).toEqual(['Elbows re-measured', 'Eyes on the blades']);
  });
});
