'use client';

import { answered } from '@/design/answered';
import { Button, SegmentedControl, TagsInput } from '@mantine/core';
import { PickSome } from '@/design/Picker';
import { useRef, useState, useTransition } from 'react';
import { saveCareAction } from './actions';
import { cautionIds, cautionTable, unknownWordNote, type CautionId } from '@/core/catalog/cautions';
import type { Consent } from '@/core/ladder/case';
import { uniteCare, type CareForm as Values } from './careForm';
import { showProblems, showUndo } from '@/design/notices';
import classes from './person.module.css';

/** What went wrong has been shown where it went wrong. */
const said = { ok: true, value: undefined } as const;

interface CareFormProps {
  readonly personId: number;
  readonly initial: Values;
}

/** Hands-on help, and what a person reported; kept as it is chosen. */
export function CareForm({ personId, initial }: CareFormProps) {
  const [isSaving, startSaving] = useTransition();
  const [values, setValues] = useState<Values>(initial);
  // What was stored when this window last knew: a second window must not overwrite unseen changes.
  const seen = useRef(initial);
  const [isKept, setKept] = useState(true);
  // One after the other: what is chosen while another choice is on its way was not seen by it.
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const refused = useRef(0);

  const isUnder16 = values.cautions.includes('under-16');
  const save = (change: Partial<Values>) => {
    const wanted = { ...values, ...change };
    const next: Values = wanted.cautions.includes('under-16')
      ? { ...wanted, pictureConsent: 'no' }
      : wanted;
    setValues(next);
    void keep(next);
  };
  const keep = (next: Values): Promise<typeof said> => {
    const asked = refused.current;
    const turn = last.current.then(async () => {
      // Chosen before it was known what another window had changed: that must be seen first.
      if (asked !== refused.current) return said;
      const outcome = await answered(saveCareAction(personId, next, seen.current));
      setKept(outcome.ok);
      if (outcome.ok) {
        const before = seen.current;
        seen.current = next;
        // What is taken off by a slip opens something: this change goes back, and no later one.
        showUndo('Kept.', async () => {
          // What is on its way is kept first, so that it is known here.
          await last.current;
          const back = uniteCare(next, before, seen.current);
          setValues(back);
          return keep(back);
        });
        return said;
      }
      if (outcome.now !== undefined) {
        const [before, now] = [seen.current, outcome.now as Values];
        refused.current += 1;
        seen.current = now;
        setValues((mine) => uniteCare(before, mine, now));
      }
      showProblems(outcome.problems);
      return said;
    });
    last.current = turn;
    startSaving(async () => {
      await turn;
    });
    return turn;
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
      <div>
        <span className={classes.label} id="picture-consent">
          Pictures that are kept
        </span>
        <SegmentedControl
          aria-labelledby="picture-consent"
          fullWidth
          disabled={isSaving || isUnder16}
          value={isUnder16 ? 'no' : values.pictureConsent}
          data={[
            { value: 'no', label: 'no' },
            { value: 'ask', label: 'ask each time' },
            { value: 'yes', label: 'yes' },
          ]}
          onChange={(value) => save({ pictureConsent: value as Consent })}
        />
        <p className={classes.hint}>
          {isUnder16
            ? 'Of anybody under 16 no picture is kept.'
            : 'Pictures stay in this studio and go with this person’s own file. “No” deletes those that are kept; their marks stay.'}
        </p>
      </div>
      <PickSome
        label="Cautions this person reported"
        description="Kept as you choose."
        data={cautionIds.map((id) => ({ value: id, label: cautionTable[id].label }))}
        value={values.cautions}
        onChange={(value) => save({ cautions: value as CautionId[] })}
        clearable
      />
      <TagsInput
        label="Something else they said"
        description={`In the fewest words, Enter after each: ${unknownWordNote}.`}
        value={values.otherWords}
        maxTags={8}
        onChange={(otherWords) => save({ otherWords })}
      />
      {!isKept && !isSaving && (
        <div role="alert">
          <p className={classes.problem}>What stands here is not kept yet.</p>
          <Button size="sm" onClick={() => void keep(values)}>
            Keep it as it stands
          </Button>
        </div>
      )}
    </div>
  );
}
