import { drillTable } from '../catalog/drills';
import { ladderIds, ladderTable } from '../catalog/stage';
import { itemKinds } from './timeline';
import { listDrawn, moveOfLine } from './moveOfLine';

it('draws every counterpose, every shipped drill, the pause and the rest', () => {
  for (const family of ladderIds) {
    const { move } = ladderTable[family].counter;
    expect(moveOfLine({ kind: 'counter', family }, drillTable)).toBe(move);
  }
  for (const [drill, { move }] of Object.entries(drillTable)) {
    const line = { kind: 'drill', drill: drill as keyof typeof drillTable } as const;
    expect(moveOfLine(line, drillTable)).toBe(move);
  }
  expect(moveOfLine({ kind: 'pause' }, drillTable)).toBe(drillTable['childs-pose'].move);
  expect(moveOfLine({ kind: 'rest' }, drillTable)).toBe('rest');
});

it('draws nothing where everybody does something of their own, or nothing is known', () => {
  const own = ['arrive', 'checks', 'settle', 'round', 'reset'] as const;
  for (const kind of own) expect(moveOfLine({ kind }, drillTable)).toBeNull();
  expect(moveOfLine({ kind: 'counter' }, drillTable)).toBeNull();
  expect(moveOfLine({ kind: 'drill', drill: 'own-9' }, drillTable)).toBeNull();
  const timeline = itemKinds.map((kind) => ({ kind, id: kind }));
  expect(listDrawn({ timeline }, drillTable).map(({ id }) => id)).toEqual(
    itemKinds.filter((kind) => kind === 'pause' || kind === 'rest'),
  );
});
