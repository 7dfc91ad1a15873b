'use client';

import { MultiSelect } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { useTransition } from 'react';
import { cautionColumns, type CautionColumn } from '@/core/catalog/cautionColumns';
import { faultIds, getFault } from '@/core/catalog/faults';
import type { EntryKind } from '@/core/catalog/entries';
import { bodyRegions, bodyRegionTable, type BodyRegion } from '@/core/catalog/regions';
import { answered } from '@/design/answered';
import { showProblems, showSaved } from '@/design/notices';
import { keepEntryAction } from './actions';
import { keyFor } from './entrySpec';

/** Saves an entry; problems go beside their fields. */
export function useKeep<Values extends { readonly label: string }>(
  kind: EntryKind,
  form: UseFormReturnType<Values>,
  toSpec: (values: Values) => unknown,
) {
  const [isSaving, startSaving] = useTransition();
  const keep = form.onSubmit((values) =>
    startSaving(async () => {
      const outcome = await answered(
        keepEntryAction(kind, keyFor(values.label), toSpec(values as Values)),
      );
      if (outcome.ok) {
        showSaved(`${values.label} is on its ladder, or in its list.`);
        form.reset();
        return;
      }
      form.setErrors(outcome.problems);
      showProblems(outcome.problems);
    }),
  );
  return { keep, isSaving };
}

const columns = Object.entries(cautionColumns).map(([value, label]) => ({ value, label }));
/** To choose from. */
export const faults = faultIds.map((value) => ({ value, label: getFault(value).label }));
const regionChoices = bodyRegions.map((id) => ({ value: id, label: bodyRegionTable[id].label }));

interface Asks {
  readonly columns: readonly CautionColumn[];
  readonly regions: readonly BodyRegion[];
}

interface AsksOfBodyProps {
  readonly description: string;
  readonly value: Asks;
  readonly onChange: (value: Asks) => void;
}

/** What an entry of one's own asks of a body: the same two questions of every kind of entry. */
export function AsksOfBody({ description, value, onChange }: AsksOfBodyProps) {
  return (
    <>
      <MultiSelect
        label="Which cautions look at it"
        description={description}
        data={columns}
        value={[...value.columns]}
        onChange={(chosen) =>
          onChange({ columns: chosen as CautionColumn[], regions: value.regions })
        }
      />
      <MultiSelect
        label="What it loads"
        description="Also what is only strained: pain there closes it."
        data={regionChoices}
        value={[...value.regions]}
        onChange={(chosen) => onChange({ columns: value.columns, regions: chosen as BodyRegion[] })}
      />
    </>
  );
}
