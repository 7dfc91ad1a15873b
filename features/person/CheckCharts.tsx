'use client';

import { sayOnAxis, sayShortDay } from '@/design/days';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import {
  Area,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { LengthUnits } from '@/core/units/length';
import { readingIn } from '@/core/units/reading';
import { dayNumber } from '@/core/units/day';
import { useRouter } from 'next/navigation';
import type { ChartPoint, CheckHistory } from './personHistory';
import { behind, listTicks, tickUnit } from './axis';
import { StatusMark, statusWords } from '@/design/marks/StatusMark';
import { Said, useUnits } from '@/design/units';
import { RecordButton } from '@/features/check/RecordButton';
import classes from './charts.module.css';

interface CheckChartsProps {
  readonly personId: number;
  readonly personName: string;
  readonly histories: readonly CheckHistory[];
  readonly today: string;
  readonly breathSeconds: number;
  /** The check that is to be recorded at once, as its history is called. */
  readonly asked?: string;
}

/** Every check's level over time: what was seen, how sure the model is, and the bar. */
export function CheckCharts(props: CheckChartsProps) {
  const { personId, personName, today, breathSeconds } = props;
  const units = useUnits();
  const histories = props.histories.map((history) => inUnits(history, units));
  const router = useRouter();
  const [shown, setShown] = useState<'charts' | 'figures'>('charts');
  if (histories.length === 0) return <p>Nothing recorded yet.</p>;
  return (
    <>
      <div className={classes.legend}>
        <SegmentedControl
          aria-label="Charts or figures"
          size="sm"
          value={shown}
          data={[
            { value: 'charts', label: 'charts' },
            { value: 'figures', label: 'figures' },
          ]}
          onChange={(value) => setShown(value as 'charts' | 'figures')}
        />
        <span>
          ● seen · ↑ at least (you stopped it) · × counts against only · dashed brass: the bar ·
          shaded: where the level lies, four times in five · grey: too old by then
        </span>
      </div>
      <ul className={classes.grid}>
        {histories.map((history) => (
          <li key={history.key} className={classes.cell}>
            <div className={classes.head}>
              <StatusMark status={history.status} />
              <h3>{history.label}</h3>
              <RecordButton
                people={[{ id: personId, name: personName }]}
                row={history.row}
                today={today}
                breathSeconds={breathSeconds}
                {...(history.key === props.asked
                  ? {
                      isAsked: true,
                      onClose: () => router.replace(`/people/${personId}`, { scroll: false }),
                    }
                  : {})}
              />
            </div>
            <p className={classes.words}>
              {statusWords[history.status]}: <Said>{history.reasons.join('; ')}</Said>
            </p>
            {shown === 'charts' ? (
              history.points.length > 0 && <LevelChart history={history} today={today} />
            ) : (
              <Figures history={history} />
            )}
            {history.inDay.length > 0 && (
              <p className={classes.words}>
                {sayShortDay(history.inDay[0]!.date)}:{' '}
                {history.inDay.map(({ words }) => words).join(' · ')}
              </p>
            )}
            {history.sideRatio !== null && (
              <p className={classes.words}>
                Weaker side at {Math.round(history.sideRatio * 100)} in 100 of the stronger
                {history.isLopsided ? ': lopsided, the weaker side first' : ''}
              </p>
            )}
            {history.forecast && <p className={classes.words}>{history.forecast}</p>}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Lengths come in centimetres, and are drawn in what the studio measures in. */
function inUnits(history: CheckHistory, units: LengthUnits): CheckHistory {
  if (!history.row.isLength) return history;
  const say = (cm: number) => readingIn(cm, units);
  return {
    ...history,
    unit: units,
    bar: say(history.bar),
    points: history.points.map((point) => ({ ...point, value: say(point.value) })),
  };
}

const colourOf = (side: ChartPoint['side']) =>
  side === 'right' ? 'var(--lv-brass)' : 'var(--lv-ink)';

interface MarkProps {
  readonly cx?: number;
  readonly cy?: number;
  readonly payload?: ChartPoint;
}

/** Each kind of record has a shape of its own; the side only a colour and a letter. */
function PointMark({ cx = 0, cy = 0, payload }: MarkProps) {
  if (payload === undefined) return null;
  const stroke = colourOf(payload.side);
  switch (payload.kind) {
    case 'at-least':
      return (
        <path
          d={`M${cx} ${cy + 5}V${cy - 7}M${cx - 4} ${cy - 3}L${cx} ${cy - 7}L${cx + 4} ${cy - 3}`}
          fill="none"
          stroke={stroke}
          strokeWidth={1.8}
        />
      );
    case 'voided':
    case 'fail':
      return (
        <path
          d={`M${cx - 4} ${cy - 4}l8 8m0-8l-8 8`}
          fill="none"
          stroke={payload.kind === 'voided' ? 'var(--lv-stop)' : stroke}
          strokeWidth={1.8}
        />
      );
    case 'plain':
      return <circle cx={cx} cy={cy} r={3.6} fill={stroke} />;
    default:
      return payload.kind satisfies never;
  }
}

function LevelChart({
  history,
  today,
}: {
  readonly history: CheckHistory;
  readonly today: string;
}) {
  const { points, bands, bar, unit, goodUntil } = history;
  const isPass = history.valueKind === 'pass';
  const now = dayNumber(today);
  const xs = [...points.map(({ date }) => dayNumber(date)), now];
  const low = Math.min(...xs, now - 28);
  const high =
    Math.max(now, ...(goodUntil === null ? [] : [Math.min(dayNumber(goodUntil), now + 14)])) + 2;
  const top = Math.max(
    bar,
    ...points.map(({ value }) => value),
    ...bands.flatMap(({ points: band }) => band.slice(1).map((p) => p.high)),
  );
  // A band that knows little does not press all else to the floor.
  const highest = Math.min(
    top,
    Math.max(bar * 3, 1.2 * Math.max(bar, ...points.map(({ value }) => value))),
  );
  // Passed or not: the bar counts how often, and has no height among them.
  const ticks = isPass ? [0, 1] : listTicks(highest * 1.04);
  const stale = goodUntil === null ? null : dayNumber(goodUntil);
  const dots = points.map((point) => ({ ...point, x: dayNumber(point.date) }));
  return (
    <div aria-hidden="true">
      <ResponsiveContainer width="100%" height={170}>
        <ComposedChart
          accessibilityLayer={false}
          margin={{ top: 8, right: 24, bottom: 0, left: 0 }}
        >
          <XAxis
            type="number"
            dataKey="x"
            domain={[low, high]}
            tickCount={4}
            tickFormatter={(day: number) => sayOnAxis(new Date(day * 86_400_000))}
            tick={{ fill: 'var(--lv-muted)', fontSize: 12 }}
            stroke="var(--lv-ink)"
            allowDuplicatedCategory={false}
          />
          <YAxis
            type="number"
            domain={isPass ? [-0.3, 1.3] : [0, ticks.at(-1)!]}
            ticks={[...ticks]}
            interval={0}
            width={isPass ? 58 : 50}
            tickFormatter={(value: number) =>
              isPass ? (value === 1 ? 'passed' : 'not') : `${value}${tickUnit(unit)}`
            }
            tick={{ fill: 'var(--lv-muted)', fontSize: 12 }}
            stroke="var(--lv-ink)"
            allowDataOverflow
          />
          {stale !== null && stale < high && (
            <ReferenceArea
              x1={stale}
              x2={high}
              fill="var(--lv-ghost)"
              fillOpacity={0.7}
              ifOverflow="hidden"
            />
          )}
          {bands.map(({ side, points: band }) => (
            <Area
              key={`band-${side}`}
              data={band.map((p) => ({ x: dayNumber(p.date), range: [p.low, p.high] }))}
              dataKey="range"
              stroke="none"
              fill={colourOf(side)}
              fillOpacity={0.13}
              isAnimationActive={false}
            />
          ))}
          {bands.map(({ side, points: band }) => (
            <Line
              key={`line-${side}`}
              data={band.map((p) => ({ x: dayNumber(p.date), middle: p.middle }))}
              dataKey="middle"
              stroke={colourOf(side)}
              strokeWidth={1.4}
              dot={false}
              isAnimationActive={false}
            />
          ))}
          {!isPass && (
            <ReferenceLine
              y={bar}
              stroke="var(--lv-brass)"
              strokeDasharray="5 4"
              strokeWidth={1.6}
              ifOverflow="extendDomain"
            />
          )}
          <Scatter data={dots} dataKey="value" shape={<PointMark />} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

const kindWords: Record<ChartPoint['kind'], string> = {
  plain: '',
  'at-least': 'at least',
  voided: 'counts against only',
  fail: 'not passed',
};

function Figures({ history }: { readonly history: CheckHistory }) {
  const newest = [...history.points].sort((a, b) => (a.date < b.date ? 1 : -1)).slice(0, 12);
  return (
    <table className={classes.figures}>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Seen</th>
          <th scope="col">Noted</th>
        </tr>
      </thead>
      <tbody>
        {newest.map((point, index) => (
          <tr key={`${point.date}-${index}`}>
            <td>{sayShortDay(point.date)}</td>
            <td>
              {history.valueKind === 'pass' ? (point.value >= 1 ? 'passed' : 'not') : point.value}
              {history.valueKind !== 'pass' && behind(history.unit)}
              {point.side ? `, ${point.side}` : ''}
            </td>
            <td>{[kindWords[point.kind], point.note].filter(Boolean).join('; ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
