'use client';

import { NumberField } from '@/design/NumberField';
import { memo, useEffect, useRef } from 'react';
import { readingFrom, readingIn } from '@/core/units/reading';
import type { ProfileChanges } from '@/core/catalog/school';
import { useUnits } from '@/design/units';
import { withBar, type ChangeCopy, type EditorCheck, type EditorChecks } from './editor';
import classes from './profiles.module.css';

interface ProfileBarsProps {
  readonly checks: EditorChecks;
  readonly bars: NonNullable<ProfileChanges['bars']>;
  readonly isShipped: boolean;
  /** The check whose bar was looked for: its field takes the focus. */
  readonly aim: string | undefined;
  readonly onChange: ChangeCopy;
}

/** What each check asks for. */
export function ProfileBars({ checks, bars, isShipped, aim, onChange }: ProfileBarsProps) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    const fields = list.current?.querySelectorAll<HTMLInputElement>('input[data-check]') ?? [];
    const field = [...fields].find((one) => one.dataset.check === aim);
    field?.focus();
    field?.select();
  }, [aim]);
  return (
    <ul className={classes.bars} ref={list}>
      {checks.map((check) => (
        <Bar
          key={check.key}
          check={check}
          value={bars[check.key] ?? check.origin}
          isShipped={isShipped}
          onChange={onChange}
        />
      ))}
    </ul>
  );
}

interface BarProps {
  readonly check: EditorCheck;
  readonly value: number;
  readonly isShipped: boolean;
  readonly onChange: ChangeCopy;
}

/** Drawn anew only when it is this one that changes: there are sixty, and each key would draw all of them. */
const Bar = memo(function Bar({ check, value, isShipped, onChange }: BarProps) {
  const { key, label, origin, unit, isLength } = check;
  const units = useUnits();
  const typedIn = isLength ? units : 'cm';
  const shownUnit = isLength ? units : unit;
  return (
    <li data-changed={value !== origin || undefined}>
      <NumberField
        label={label}
        data-check={key}
        size="sm"
        min={0}
        allowNegative={false}
        disabled={isShipped}
        suffix={unit === '' ? '' : ` ${shownUnit}`}
        value={readingIn(value, typedIn)}
        description={value === origin ? undefined : `was ${readingIn(origin, typedIn)}`}
        onNumber={(next) =>
          onChange((before) => withBar(before, key, origin, readingFrom(next, typedIn)))
        }
        onEmpty={() => onChange((before) => withBar(before, key, origin, origin))}
      />
    </li>
  );
});
