'use client';

import { Link } from '@/design/Link';
import { useMemo } from 'react';
import type { Body } from '@/core/body/body';
import { lengthTable } from '@/core/body/lengths';
import type { ShapeId } from '@/core/shapes/postures';
import type { DialValues } from '@/core/shapes/dials';
import { tellingLengths } from '@/core/setups/telling';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { LengthPicture } from './later';
import classes from './bench.module.css';

interface MeasuringGuideProps {
  /** Whose page takes the figures; absent for somebody typed by height. */
  readonly personId: number | null;
  readonly body: Body;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly units: LengthUnits;
}

const pathLength = 4;

/** Two minutes with a tape: the four lengths that settle most of this set-up. */
export function MeasuringGuide({ personId, body, shape, values, units }: MeasuringGuideProps) {
  const telling = useMemo(
    () =>
      tellingLengths(body, shape, undefined, values)
        .filter(({ length }) => body.basis[length] === 'estimated')
        .slice(0, pathLength),
    [body, shape, values],
  );
  return (
    <section aria-label="Measuring guide" className={classes.panel}>
      <div className={classes.panelHead}>
        <h2>Two minutes with a tape</h2>
        <span>
          {personId !== null && <Link href={`/people/${personId}#body`}>Type them in</Link>}
          {personId !== null && ' · '}
          <Link href="/measure">All lengths</Link>
        </span>
      </div>
      {telling.length === 0 ? (
        <p>Everything this set-up rests on is measured.</p>
      ) : (
        <ol className={classes.guide}>
          {telling.map(({ length, moveM }) => (
            <li key={length}>
              <LengthPicture length={length} />
              <div>
                <strong>{lengthTable[length].label}</strong>: estimated{' '}
                {formatLength(body.lengths[length], units)}, moves the set-up by up to{' '}
                {formatLength(moveM, units)}.
                <div className={classes.hint}>{lengthTable[length].howTo}</div>
              </div>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
