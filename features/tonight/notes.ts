import type { Judgement } from '@/server/judging/judgement';

/** Which checks stand in the way tonight, for how many people, the commonest first. */
export function countObstacles(
  people: readonly Judgement[],
): readonly { readonly label: string; readonly count: number }[] {
  const counts = new Map<string, number>();
  for (const { verdict } of people) {
    if (verdict.kind === 'stop') continue;
    for (const item of verdict.items) {
      if (item.status !== 'met') counts.set(item.label, (counts.get(item.label) ?? 0) + 1);
    }
  }
  return [...counts]
    .map(([label, count]) => ({ label, count }))
    .sort((a, b) => b.count - a.count || a.label.localeCompare(b.label));
}

/** Marks of tonight's stage to tape on the floor, metres, to the centimetre, nearest to the wall first. */
export function listTapeMarks(people: readonly Judgement[]): readonly number[] {
  const marks = people
    .filter(({ verdict }) => verdict.alternative === undefined)
    .flatMap(({ setup }) => {
      const base = setup?.distances.find(({ id }) => id === 'base');
      return base === undefined ? [] : [Math.round(base.metres * 100) / 100];
    });
  return [...new Set(marks)].sort((a, b) => a - b);
}
