/** What a set of drills is worth to a group: what it serves, prepares and costs. Source: handbook 08. */
import { entriesOf } from '../units/keyed';
import type { DrillSpec, PreparationPart } from '../catalog/drills';
import { isEverywhere } from '../catalog/pieces';
import type { LadderId } from '../catalog/stage';
import { isOnTheme } from '../catalog/themes';
import type { DrillTask, PlannedDrill } from './drillTask';
import { rowsServed } from '../pieces/rows';
import { stretches } from './budget';
import { composeWeights } from './worth';

/** The second for the same check counts this share of the first. */
export const secondShare = 0.3;
/** What counts for or against a drill besides what it serves, for each student there. */
export const perStudent = {
  /** Filling the minutes counts a little by itself. */
  minute: 0.004,
  /** A minute that would be left over, however long the drills are made. */
  empty: 0.012,
  /** A part of what belongs before a family. */
  preparation: 0.05,
  theme: 0.08,
  /** Another drill, another position, another thing to fetch: few of each. */
  drill: 0.004,
  position: 0.012,
  prop: 0.006,
  /** Somebody sits it out. */
  sitsOut: 0.03,
} as const;
/** What one drill is worth to the group, and each further one for the same weak check. */
export function coverage({ people }: DrillTask, drills: readonly PlannedDrill[]) {
  return people.flatMap(({ weak, closedDrills }, person) =>
    weak.map(({ check, weight }) => ({
      key: `${person}_${check.replaceAll('-', '_')}`,
      weight: composeWeights.drill * weight,
      serving: drills.flatMap(({ drill, spec }, index) =>
        !closedDrills.includes(drill) && spec.serves.includes(check) ? index : [],
      ),
    })),
  );
}

export type Coverage = ReturnType<typeof coverage>;

/** What is asked for besides, and how much of it a set of drills has. */
export function extraWorth(
  task: DrillTask,
  drills: readonly PlannedDrill[],
  chosen: ReadonlySet<number>,
) {
  const count = task.people.length;
  const own = [...chosen].map((index) => drills[index]!);
  const prepared = listParts(task).filter(({ family, part }) =>
    own.some(({ spec }) => spec.prepares?.[family] === part),
  ).length;
  const themed = own.filter(({ spec }) => isOnTheme(spec, task.theme)).length;
  const positions = new Set(own.map(({ spec, drill }) => spec.position ?? drill)).size;
  const props = new Set(own.flatMap(({ spec }) => propsOf(spec))).size;
  const away = own.reduce((sum, { doing = count }) => sum + count - doing, 0);
  return (
    count *
      (perStudent.preparation * prepared +
        perStudent.theme * themed +
        perStudent.minute * minutesOf(own) -
        perStudent.empty * emptyMinutes(task, own) -
        rushed(task) *
          (perStudent.drill * own.length +
            perStudent.position * positions +
            perStudent.prop * props)) -
    perStudent.sitsOut * away
  );
}

/** What even stretched drills leave of the minutes. */
const emptyMinutes = (task: DrillTask, own: readonly PlannedDrill[]): number =>
  task.isToFill === true ? Math.max(0, task.minutes - stretches.drill * minutesOf(own)) : 0;

/** Where the drills are the class there is time for more of them. */
export const rushed = ({ families }: Pick<DrillTask, 'families'>) =>
  families.length === 0 ? 0.3 : 1;

interface FamilyPart {
  readonly family: LadderId;
  readonly part: PreparationPart;
}

/** Every part that the families of the evening ask for and some drill of the school has. */
export function listParts({
  families,
  drills,
}: Pick<DrillTask, 'families' | 'drills'>): FamilyPart[] {
  return families.flatMap((family) => {
    const parts = new Set(
      entriesOf(drills).flatMap(([, { prepares }]) => prepares?.[family] ?? []),
    );
    return [...parts].map((part) => ({ family, part }));
  });
}

const minutesOf = (drills: readonly PlannedDrill[]) =>
  drills.reduce((sum, { minutes }) => sum + minutes, 0);

/** What has to be fetched for it: the piece itself, not what else would do where less is asked. */
export const propsOf = ({ pieces }: Pick<DrillSpec, 'pieces'>): string[] => [
  ...new Set(
    pieces.filter((one) => !isEverywhere(one)).map((one) => rowsServed(one).at(-1) ?? one.piece),
  ),
];

export const valueOf = (cover: Coverage, chosen: ReadonlySet<number>) => {
  const served = cover.reduce((sum, { weight, serving }) => {
    const count = serving.filter((index) => chosen.has(index)).length;
    return sum + weight * (Math.min(1, count) + secondShare * Math.min(1, Math.max(0, count - 1)));
  }, 0);
  return served;
};

/** Everything served, prepared and on theme, and nothing taken off: no set is worth more. */
export function mostWorth(
  task: DrillTask,
  cover: Coverage,
  drills: readonly PlannedDrill[],
): number {
  const all = new Set(drills.map((_, index) => index));
  const count = task.people.length;
  const themed = drills.filter(({ spec }) => isOnTheme(spec, task.theme)).length;
  return (
    valueOf(cover, all) +
    count *
      (perStudent.preparation * listParts(task).length +
        perStudent.theme * themed +
        perStudent.minute * Math.min(task.minutes, minutesOf(drills)))
  );
}
