export interface Figure {
  readonly name: string;
  readonly median: number;
  readonly unit: string;
  readonly target?: number;
}

export function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Median milliseconds of one call; short calls are timed in batches. */
export function timeCall(work: () => unknown, { runs = 60, batch = 1 } = {}): number {
  for (let warm = 0; warm < runs / 2; warm += 1) work();
  const times = Array.from({ length: runs }, () => {
    const start = process.hrtime.bigint();
    for (let call = 0; call < batch; call += 1) work();
    return Number(process.hrtime.bigint() - start) / 1e6 / batch;
  });
  return medianOf(times);
}

/** Median milliseconds of something awaited. */
export async function timeAsync(work: () => Promise<unknown>, runs = 40): Promise<number> {
  for (let warm = 0; warm < 8; warm += 1) await work();
  const times: number[] = [];
  for (let call = 0; call < runs; call += 1) {
    const start = process.hrtime.bigint();
    await work();
    times.push(Number(process.hrtime.bigint() - start) / 1e6);
  }
  return medianOf(times);
}

export function print({ name, median, unit, target }: Figure): void {
  const shown = median >= 10 ? median.toFixed(0) : median.toPrecision(2);
  const beside = target === undefined ? '' : `   (under ${target} ${unit})`;
  console.log(`${name.padEnd(62)} ${shown.padStart(8)} ${unit}${beside}`);
}
