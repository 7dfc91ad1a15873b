import { line } from 'd3-shape';
import { useMemo } from 'react';
import classes from './plot.module.css';

interface PlotPoint {
  readonly x: number;
  /** `null`: nothing is known there, and the line breaks. */
  readonly y: number | null;
}

export interface PlotLine {
  readonly key: string;
  readonly points: readonly PlotPoint[];
  readonly stroke: string;
  readonly dash?: string | undefined;
}

interface Tick {
  readonly at: number;
  readonly label: string;
}

interface PlotProps {
  readonly lines: readonly PlotLine[];
  /** What lies at the far end of each axis; both begin at nought. */
  readonly most: { readonly x: number; readonly y: number };
  readonly ticks: { readonly x: readonly Tick[]; readonly y: readonly Tick[] };
  /** Lines across for what is asked, and down for when something begins. */
  readonly across?: { readonly at: number; readonly stroke: string; readonly dash?: string };
  readonly down?: { readonly at: number; readonly stroke: string };
  readonly className: string | undefined;
}

/** In hundredths of the plot, from its left and from its top. */
const alongAxis = (x: number, most: number) => (100 * x) / most;
const downAxis = (y: number, most: number) => 100 - (100 * Math.max(0, y)) / most;

/**
 * Lines over time between two axes, for charts that are drawn anew while somebody works: the chart
 * library's takes over 100 ms to appear. Its words stand beside it: a screen reader passes over it.
 */
export function Plot({ lines, most, ticks, across, down, className }: PlotProps) {
  const alongOf = (x: number) => alongAxis(x, most.x);
  const downOf = (y: number) => downAxis(y, most.y);
  const paths = useMemo(
    () =>
      lines.map(({ points, ...look }) => ({
        ...look,
        d: line<PlotPoint>()
          .defined(({ y }) => y !== null)
          .x(({ x }) => alongAxis(x, most.x))
          .y(({ y }) => downAxis(y ?? 0, most.y))(points),
      })),
    [lines, most.x, most.y],
  );
  return (
    <div className={`${classes.plot} ${className ?? ''}`} aria-hidden="true">
      <svg viewBox="0 0 100 100" preserveAspectRatio="none">
        {ticks.y.map(({ at }) => (
          <path key={at} d={`M0,${downOf(at)}H100`} className={classes.grid} />
        ))}
        {across && (
          <path
            d={`M0,${downOf(across.at)}H100`}
            stroke={across.stroke}
            strokeDasharray={across.dash}
          />
        )}
        {down && <path d={`M${alongOf(down.at)},0V100`} stroke={down.stroke} />}
        {paths.map(({ key, stroke, dash, d }) => (
          <path key={key} data-line={key} d={d ?? ''} stroke={stroke} strokeDasharray={dash} />
        ))}
      </svg>
      {ticks.y.map(({ at, label }) => (
        <span key={at} className={classes.yTick} style={{ bottom: `${100 - downOf(at)}%` }}>
          {label}
        </span>
      ))}
      {ticks.x.map(({ at, label }) => (
        <span key={at} className={classes.xTick} style={{ left: `${alongOf(at)}%` }}>
          {label}
        </span>
      ))}
    </div>
  );
}
