'use client';

import { Button, MultiSelect, SegmentedControl } from '@mantine/core';
import { useState, useTransition } from 'react';
import { saveCareAction } from '@/server/actions';
import { cautionIds, cautionTable, type CautionId } from '@/core/catalog/cautions';
import type { Consent } from '@/core/ladder/verdict';
import { showProblem, showSaved } from './notices';
import classes from './person.module.css';

interface CareFormProps {
  readonly personId: number;
  readonly consent: Consent;
  readonly cautions: readonly CautionId[];
}

/** Consent in the open; what a person reported stays folded away from anyone looking over. */
export function CareForm({ personId, consent, cautions }: CareFormProps) {
  const [isShown, setIsShown] = useState(false);
  const [isSaving, startSaving] = useTransition();
  const [chosen, setChosen] = useState<readonly CautionId[]>(cautions);
  const [touch, setTouch] = useState<Consent>(consent);

  const save = (change: { consent: Consent; cautions: readonly CautionId[] }) => {
    startSaving(async () => {
      const outcome = await saveCareAction(personId, change);
      if (outcome.ok) showSaved('Kept.');
      else showProblem(Object.values(outcome.problems).join(' '));
    });
  };

  return (
    <div className={classes.form}>
      <div>
        <span className={classes.label} id="consent">
          Hands-on help
        </span>
        <SegmentedControl
          aria-labelledby="consent"
          fullWidth
          disabled={isSaving}
          value={touch}
          data={[
            { value: 'yes', label: 'yes' },
            { value: 'ask', label: 'ask each time' },
            { value: 'no', label: 'no' },
          ]}
          onChange={(value) => {
            setTouch(value as Consent);
            save({ consent: value as Consent, cautions: chosen });
          }}
        />
      </div>
      {isShown ? (
        <>
          <MultiSelect
            label="Cautions this person reported"
            description="Kept as you choose. Not in the list: ask, and refer if unsure."
            data={cautionIds.map((id) => ({ value: id, label: cautionTable[id].label }))}
            value={[...chosen]}
            onChange={(value) => {
              setChosen(value as CautionId[]);
              save({ consent: touch, cautions: value as CautionId[] });
            }}
            searchable
            clearable
          />
          <Button variant="subtle" size="compact-md" onClick={() => setIsShown(false)}>
            Fold away
          </Button>
        </>
      ) : (
        <Button variant="default" onClick={() => setIsShown(true)}>
          Show and change cautions
        </Button>
      )}
    </div>
  );
}
