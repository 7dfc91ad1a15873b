'use client';

import { SegmentedControl, VisuallyHidden } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Bar, BarChart, Cell, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Body } from '@/core/body/body';
import { sayIn, type LengthUnits } from '@/core/units/length';
import { ladderLoads, type LoadLadder as Ladder } from '@/core/shapes/ladderLoads';
import classes from './bench.module.css';
import { sayHeldOut } from './figures';

/** Weight on the arms along a ladder, jumps flagged, with a step that would go between. */
export function LoadLadder({ body, units }: { readonly body: Body; readonly units: LengthUnits }) {
  const [ladder, setLadder] = useState<Ladder>('forearms');
  const steps = useMemo(() => ladderLoads(body, ladder), [body, ladder]);
  const rows = steps.map((step) => ({
    label: sayIn(step.label, units),
    percent: Math.round(step.armsPercent),
    // No-break spaces: the chart's own wrapping would split figure and sign.
    text: `${Math.round(step.armsPercent)}\u00a0%${step.jump ? `\u00a0(+${Math.round(step.jump.points)})` : ''}`,
    isJump: step.jump !== undefined,
  }));
  return (
    <section aria-label="Load along the ladder" className={classes.panel}>
      <div className={classes.panelHead}>
        <h2>Weight on the arms, stage by stage</h2>
        <SegmentedControl
          aria-label="Ladder"
          size="sm"
          value={ladder}
          data={[
            { value: 'forearms', label: 'forearms' },
            { value: 'hands', label: 'hands' },
          ]}
          onChange={(value) => setLadder(value as Ladder)}
        />
      </div>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={200}>
          <BarChart
            accessibilityLayer={false}
            data={rows}
            margin={{ top: 22, right: 8, bottom: 4, left: 8 }}
          >
            <XAxis
              dataKey="label"
              interval={0}
              tick={{ fill: 'var(--lv-ink)', fontSize: 12 }}
              stroke="var(--lv-ink)"
            />
            <YAxis hide domain={[0, 110]} />
            <Bar dataKey="percent" isAnimationActive={false} maxBarSize={46}>
              {rows.map((row) => (
                <Cell
                  key={row.label}
                  fill={row.isJump ? 'var(--lv-sheet)' : 'var(--lv-inkFar)'}
                  stroke="var(--lv-ink)"
                  strokeDasharray={row.isJump ? '4 3' : undefined}
                />
              ))}
              <LabelList dataKey="text" position="top" fill="var(--lv-ink)" fontSize={13} />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </div>
      <p className={classes.hint}>
        At the shoulders, like held out in front with straight arms:{' '}
        {steps
          .map(
            ({ label, shoulderMomentNmPerKg }) =>
              `${sayIn(label, units)} ${sayHeldOut(shoulderMomentNmPerKg, body)} (${shoulderMomentNmPerKg.toFixed(1)} Nm/kg)`,
          )
          .join(' · ')}
      </p>
      <VisuallyHidden component="ul">
        {rows.map(({ label, text }) => (
          <li key={label}>
            {label}: {text}
          </li>
        ))}
      </VisuallyHidden>
      <ul className={classes.steps}>
        {steps
          .filter(({ jump }) => jump)
          .map(({ label, jump }) => (
            <li key={label}>
              <strong>{sayIn(label, units)}</strong> asks {Math.round(jump!.points)} points more
              than the stage before.{' '}
              {jump!.between
                ? `Between: ${sayIn(jump!.between, units)}.`
                : 'No step between was found.'}
            </li>
          ))}
      </ul>
    </section>
  );
}
