'use client';

import { Slider, TextInput } from '@mantine/core';
import { useState } from 'react';
import { formatLength, parseLength, type LengthUnits } from '@/core/units/length';
import type { Dial } from '@/core/shapes/dials';
import { NumberField } from '@/design/NumberField';
import classes from './bench.module.css';

interface DialFieldProps {
  readonly dial: Pick<Dial, 'label' | 'unit' | 'low' | 'high'>;
  readonly value: number;
  readonly units: LengthUnits;
  /** Written otherwise than a distance: a height in feet and inches. */
  readonly say?: (metres: number, units: LengthUnits) => string;
  /** Read otherwise than a distance: 1.85 is a height in metres. */
  readonly read?: (text: string, units: LengthUnits) => number | null;
  readonly onTurn: (value: number) => void;
}

const steps = { m: 0.01, deg: 1, share: 0.01 } as const;

/** A value to slide and to type: what is typed counts with Enter or when the field is left. */
export function DialField({ dial, value, units, say, read, onTurn }: DialFieldProps) {
  const { label, unit, low, high } = dial;
  return (
    <div>
      <div className={classes.dialLabel}>
        <span>{label}</span>
        {unit === 'm' ? (
          <LengthField
            label={label}
            range={[low, high]}
            value={value}
            units={units}
            say={say ?? formatLength}
            parse={read ?? parseLength}
            onTurn={onTurn}
          />
        ) : (
          <NumberField
            aria-label={`${label}, typed`}
            size="xs"
            w={84}
            hideControls
            clampBehavior="blur"
            allowDecimal={false}
            min={unit === 'deg' ? low : low * 100}
            max={unit === 'deg' ? high : high * 100}
            suffix={unit === 'deg' ? '°' : ' %'}
            // The 9 of a 90 is no angle: what the dial reaches would be put in its place.
            whenLeft
            value={Math.round(unit === 'deg' ? value : value * 100)}
            onNumber={(typed) => onTurn(unit === 'deg' ? typed : typed / 100)}
          />
        )}
      </div>
      <Slider
        thumbLabel={`${label}, dial`}
        min={low}
        max={high}
        step={steps[unit]}
        label={null}
        value={value}
        onChange={onTurn}
      />
    </div>
  );
}

interface LengthFieldProps {
  readonly label: string;
  readonly range: readonly [low: number, high: number];
  readonly value: number;
  readonly units: LengthUnits;
  readonly say: (metres: number, units: LengthUnits) => string;
  readonly parse: (text: string, units: LengthUnits) => number | null;
  readonly onTurn: (value: number) => void;
}

function LengthField({
  label,
  range: [low, high],
  value,
  units,
  say,
  parse,
  onTurn,
}: LengthFieldProps) {
  const shown = say(value, units);
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? value : parse(typed, units);
  const isWithin = read !== null && read >= low - 1e-9 && read <= high + 1e-9;
  const finish = () => {
    if (typed === null || !isWithin) return;
    if (typed !== shown) onTurn(read);
    setTyped(null);
  };
  return (
    <TextInput
      aria-label={`${label}, typed`}
      size="xs"
      w={96}
      value={typed ?? shown}
      error={typed !== null && !isWithin && `${say(low, units)} to ${say(high, units)}`}
      onFocus={(event) => {
        setTyped(shown);
        event.currentTarget.select();
      }}
      onChange={({ currentTarget }) => setTyped(currentTarget.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter') finish();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
