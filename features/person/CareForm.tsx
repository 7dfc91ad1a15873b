'use client';

import { MultiSelect, SegmentedControl, TagsInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import { saveCareAction } from './actions';
import { cautionIds, cautionTable, unknownWordNote, type CautionId } from '@/core/catalog/cautions';
import type { Consent } from '@/core/ladder/case';
import type { CareForm as Values } from './careForm';
import { showProblems, showSaved } from '@/design/notices';
import classes from './person.module.css';

interface CareFormProps {
  readonly personId: number;
  readonly initial: Values;
}

/** Hands-on help, and what a person reported; kept as it is chosen. */
export function CareForm({ personId, initial }: CareFormProps) {
  const [isSaving, startSaving] = useTransition();
  const [values, setValues] = useState<Values>(initial);
  // What was stored when this window last knew: a second window must not overwrite unseen changes.
  const [seen, setSeen] = useState<Values>(initial);

  const save = (change: Partial<Values>) => {
    const next = { ...values, ...change };
    setValues(next);
    startSaving(async () => {
      const outcome = await saveCareAction(personId, next, seen);
      if (outcome.ok) {
        setSeen(next);
        showSaved('Kept.');
        return;
      }
      if (outcome.now !== undefined) setSeen(outcome.now as Values);
      showProblems(outcome.problems);
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
          value={values.consent}
          data={[
            { value: 'yes', label: 'yes' },
            { value: 'ask', label: 'ask each time' },
            { value: 'no', label: 'no' },
          ]}
          onChange={(value) => save({ consent: value as Consent })}
        />
      </div>
      <MultiSelect
        label="Cautions this person reported"
        description="Kept as you choose."
        data={cautionIds.map((id) => ({ value: id, label: cautionTable[id].label }))}
        value={values.cautions}
        onChange={(value) => save({ cautions: value as CautionId[] })}
        searchable
        clearable
      />
      <TagsInput
        label="Something else they said"
        description={`In the fewest words, Enter after each: ${unknownWordNote}.`}
        value={values.otherWords}
        maxTags={8}
        onChange={(otherWords) => save({ otherWords })}
      />
    </div>
  );
}
