'use client';

import { sayOnAxis } from '@/design/days';
import type { StageKey } from '@/core/catalog/stage';
import { ResponsiveContainer, Sankey } from 'recharts';
import type { CourseRecord } from './read';

/** Recharts lays the flow out; each evening is a column, each rung a bar as tall as its people. */
export function FlowChart({ record }: { readonly record: CourseRecord }) {
  const { flow, labels } = record;
  const nodes = flow.weeks.flatMap(({ on, rungs }, week) =>
    // The highest rung on top.
    [...rungs]
      .reverse()
      .map(({ stage, people }) => ({ week, stage, on, people: people.length, name: '' })),
  );
  const indexOf = (week: number, stage: StageKey | null) =>
    nodes.findIndex((node) => node.week === week && node.stage === stage);
  const links = flow.links.map(({ fromWeek, from, to, people }) => ({
    source: indexOf(fromWeek, from),
    target: indexOf(fromWeek + 1, to),
    value: people.length,
    climbs: from !== to,
  }));
  const short = (stage: StageKey | null) =>
    stage === null ? 'not begun' : (labels[stage] ?? stage);
  if (links.length === 0) {
    return (
      <p>
        One evening so far:{' '}
        {nodes.map(({ stage, people }) => `${short(stage)} ${people}`).join(' · ')}.
      </p>
    );
  }
  const lastWeek = flow.weeks.length - 1;
  return (
    <div
      role="img"
      aria-label="Rungs of everybody from evening to evening; the figures say the same"
    >
      <ResponsiveContainer
        width="100%"
        height={Math.max(300, 34 * flow.weeks[0]!.rungs.length + 120)}
      >
        <Sankey
          data={{ nodes, links }}
          nodePadding={22}
          nodeWidth={12}
          iterations={0}
          sort={false}
          margin={{ left: 230, right: 230, top: 30, bottom: 10 }}
          node={(props) => (
            <Rung {...(props as unknown as NodeProps)} lastWeek={lastWeek} short={short} />
          )}
          link={(props) => <Way {...(props as unknown as LinkProps)} />}
        />
      </ResponsiveContainer>
    </div>
  );
}

interface NodeProps {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly index: number;
  readonly payload: {
    readonly week: number;
    readonly stage: StageKey | null;
    readonly on: string;
    readonly people: number;
  };
}

function Rung({
  x,
  y,
  width,
  height,
  payload,
  lastWeek,
  short,
}: NodeProps & { readonly lastWeek: number; readonly short: (stage: StageKey | null) => string }) {
  const { week, stage, on, people } = payload;
  const isFirst = week === 0;
  const isLast = week === lastWeek;
  return (
    <g>
      <rect x={x} y={y} width={width} height={Math.max(2, height)} fill="var(--lv-ink)" />
      <text
        x={isFirst ? x - 7 : x + width + 7}
        y={y + height / 2 + 4}
        textAnchor={isFirst ? 'end' : 'start'}
        fontSize={13}
        fill="var(--lv-ink)"
        paintOrder="stroke"
        stroke="var(--lv-paper)"
        strokeWidth={4}
      >
        {isFirst || isLast ? `${short(stage)}, ${people}` : people}
      </text>
      <text
        x={isFirst ? x + width : x}
        y={16}
        textAnchor={isFirst ? 'end' : 'start'}
        fontSize={13}
        fill="var(--lv-brass)"
        fontWeight={700}
      >
        {sayOnAxis(on)}
      </text>
    </g>
  );
}

interface LinkProps {
  readonly sourceX: number;
  readonly targetX: number;
  readonly sourceY: number;
  readonly targetY: number;
  readonly sourceControlX: number;
  readonly targetControlX: number;
  readonly linkWidth: number;
  readonly payload: { readonly climbs?: boolean };
}

/** Who stays is grey, who moves sea-green. */
function Way(props: LinkProps) {
  const { sourceX, targetX, sourceY, targetY, sourceControlX, targetControlX, linkWidth } = props;
  return (
    <path
      d={`M${sourceX},${sourceY}C${sourceControlX},${sourceY} ${targetControlX},${targetY} ${targetX},${targetY}`}
      fill="none"
      stroke={props.payload.climbs ? 'var(--lv-green)' : 'var(--lv-soft)'}
      strokeOpacity={props.payload.climbs ? 0.75 : 0.3}
      strokeWidth={Math.max(1, linkWidth)}
    />
  );
}
