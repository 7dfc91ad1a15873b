/** How a group moved over the rungs of one ladder, week by week. Source: handbook 10 "Record". */
import type { StageKey } from '../catalog/stage';
import type { Day } from '../units/day';

export interface Climber {
  readonly id: string;
  /** Where they stood before the first move; null: not begun. */
  readonly start: StageKey | null;
  /** In the order they were decided. */
  readonly moves: readonly { readonly on: Day; readonly stage: StageKey | null }[];
}

export interface FlowWeek {
  readonly on: Day;
  /** How many stood on each rung at the end of that day. */
  readonly rungs: readonly {
    readonly stage: StageKey | null;
    readonly people: readonly string[];
  }[];
}

export interface FlowLink {
  readonly fromWeek: number;
  readonly from: StageKey | null;
  readonly to: StageKey | null;
  readonly people: readonly string[];
}

export interface Flow {
  readonly weeks: readonly FlowWeek[];
  readonly links: readonly FlowLink[];
}

export function rungOn({ start, moves }: Climber, on: Day): StageKey | null {
  let rung = start;
  for (const move of moves) if (move.on <= on) rung = move.stage;
  return rung;
}

/** @param order the rungs of the ladder, foot first; those not begun stand below all */
export function findFlow(
  climbers: readonly Climber[],
  days: readonly Day[],
  order: readonly StageKey[],
): Flow {
  const rank = (stage: StageKey | null) => (stage === null ? -1 : order.indexOf(stage));
  const gather = <Key>(keys: readonly Key[], nameOf: (key: Key) => string) => {
    const groups = new Map<string, { key: Key; people: string[] }>();
    keys.forEach((key, index) => {
      const group = groups.get(nameOf(key)) ?? { key, people: [] };
      group.people.push(climbers[index]!.id);
      groups.set(nameOf(key), group);
    });
    return [...groups.values()];
  };
  const weeks = days.map((on): FlowWeek => ({
    on,
    rungs: gather(
      climbers.map((one) => rungOn(one, on)),
      String,
    )
      .map(({ key, people }) => ({ stage: key, people }))
      .sort((a, b) => rank(a.stage) - rank(b.stage)),
  }));
  const links = days.slice(1).flatMap((on, fromWeek) =>
    gather(
      climbers.map((one) => [rungOn(one, days[fromWeek]!), rungOn(one, on)] as const),
      ([from, to]) => `${from}>${to}`,
    ).map(({ key: [from, to], people }): FlowLink => ({ fromWeek, from, to, people })),
  );
  return { weeks, links };
}
