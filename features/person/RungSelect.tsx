'use client';

import { answered } from '@/design/answered';
import { NativeSelect } from '@mantine/core';
import { useState, useTransition } from 'react';
import { placeOnRungAction } from '@/features/people/actions';
import { ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { showProblems, showUndo } from '@/design/notices';

interface RungSelectProps {
  readonly personId: number;
  readonly family: LadderId;
  /** Where they work now; null: not begun. */
  readonly present: StageKey | null;
  /** Of the present rung, also where their school's ladder has it no more. */
  readonly presentLabel: string | null;
  /** Rungs of the ladder, foot first. */
  readonly rungs: readonly { readonly value: StageKey; readonly label: string }[];
}

/** Where somebody works on one ladder, and a way to another rung. */
export function RungSelect({ personId, family, present, presentLabel, rungs }: RungSelectProps) {
  const isListed = present === null || rungs.some(({ value }) => value === present);
  const [isMoving, startMoving] = useTransition();
  // What was chosen first, until the page comes anew with it.
  const [stage, setStage] = useState<string>(present ?? '');
  const move = (value: string) => {
    setStage(value);
    startMoving(async () => {
      const outcome = await answered(
        placeOnRungAction(personId, {
          family,
          stage: rungs.find((one) => one.value === value)?.value ?? null,
        }),
      );
      if (outcome.ok) {
        const stood = outcome.value;
        const label = rungs.find((one) => one.value === value)?.label;
        showUndo(label === undefined ? 'Off this ladder.' : `Works at ${label}.`, () =>
          placeOnRungAction(personId, { family, stage: null, ...stood }),
        );
        return;
      }
      // Nobody stands where they were not placed.
      setStage(present ?? '');
      showProblems(outcome.problems);
    });
  };
  return (
    <NativeSelect
      aria-label={`Works at, ${ladderTable[family].label}`}
      size="sm"
      disabled={isMoving}
      value={present ?? stage}
      data={[
        { value: '', label: 'not begun' },
        ...(isListed
          ? []
          : [{ value: present, label: presentLabel ?? 'a rung of another school' }]),
        ...rungs,
      ]}
      onChange={(event) => move(event.currentTarget.value)}
    />
  );
}
