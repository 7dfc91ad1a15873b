'use client';

import {
  MultiSelect,
  Select,
  type ComboboxItem,
  type ComboboxItemGroup,
  type OptionsFilter,
} from '@mantine/core';
import { useRef, useState, type FocusEvent, type ReactNode } from 'react';
import { findMatch } from './match';

export interface Choice {
  readonly value: string;
  readonly label: string;
}

export interface ChoiceGroup {
  readonly group: string;
  readonly items: readonly Choice[];
}

interface Common {
  readonly label?: ReactNode;
  readonly 'aria-label'?: string;
  readonly description?: ReactNode;
  readonly placeholder?: string;
  readonly error?: ReactNode;
  readonly size?: string;
  readonly disabled?: boolean;
  readonly clearable?: boolean;
  readonly className?: string;
  readonly data: readonly Choice[] | readonly ChoiceGroup[];
}

interface PickOneProps extends Common {
  readonly value: string | null;
  readonly onChange: (value: string | null) => void;
}

interface PickSomeProps extends Common {
  readonly value: readonly string[];
  readonly onChange: (value: string[]) => void;
}

const isGroup = (entry: Choice | ChoiceGroup): entry is ChoiceGroup => 'items' in entry;
const flatten = (data: Common['data']): Choice[] =>
  data.flatMap((entry: Choice | ChoiceGroup) => (isGroup(entry) ? [...entry.items] : [entry]));
const isMeant = (label: string, typed: string) => findMatch(label, typed) !== null;

type Listed = ComboboxItem | ComboboxItemGroup<ComboboxItem>;

/** The same reading of what is typed as in the search over everything. */
const filter: OptionsFilter = ({ options, search }) =>
  options.flatMap((option): Listed[] => {
    if (!('group' in option)) return isMeant(option.label, search) ? [option] : [];
    const items = option.items.filter(({ label }) => isMeant(label, search));
    return items.length === 0 ? [] : [{ ...option, items }];
  });

/** What is typed: kept when the field is left without a choice, and said. */
function useTyped(choices: readonly Choice[], chosen: readonly string[], isOne: boolean) {
  const labelOf = (chosenValue: string) =>
    choices.find(({ value }) => value === chosenValue)?.label ?? '';
  // The server shows the choice as well: its label stands there from the first.
  const [typed, setTyped] = useState(() =>
    isOne && chosen[0] !== undefined ? labelOf(chosen[0]) : '',
  );
  const [left, setLeft] = useState<string | null>(null);
  // The field empties itself as it is left; what was typed is put back.
  const isLeaving = useRef(false);
  const matches = typed === '' ? [] : choices.filter(({ label }) => isMeant(label, typed));
  // A name written out in full is not taken either, unless it is the one that is chosen.
  const isTaken = (text: string) =>
    text === '' || (isOne && chosen.some((one) => labelOf(one) === text));
  return {
    said:
      left === null
        ? null
        : `“${left}” was not taken: ${
            matches.length === 0 ? 'nothing here is called that' : 'choose one of those it may mean'
          }.`,
    /** Something was chosen: where nothing was before, whoever asks decides whether it stays. */
    take: (picked: string | null) => {
      setLeft(null);
      setTyped(picked !== null && isOne && chosen.length > 0 ? labelOf(picked) : '');
    },
    field: {
      searchable: true,
      filter,
      nothingFoundMessage: 'Nothing is called that.',
      // Enter takes what is marked: the one thing that can be meant, never the first of several.
      selectFirstOptionOnChange: matches.length === 1 && !chosen.includes(matches[0]!.value),
      searchValue: typed,
      onSearchChange: (text: string) => {
        if (!isLeaving.current) setTyped(text);
      },
      onFocus: () => {
        isLeaving.current = false;
      },
      onBlur: (event: FocusEvent<HTMLInputElement>) => {
        const text = event.currentTarget.value;
        const isKept = !isTaken(text);
        isLeaving.current = isKept;
        setLeft(isKept ? text : null);
        if (isKept) setTyped(text);
      },
    },
  };
}

/** One of many by typing: Enter takes the only match, what is not taken stays and is said. */
export function PickOne({ data, value, onChange, error, ...rest }: PickOneProps) {
  const { said, take, field } = useTyped(flatten(data), value === null ? [] : [value], true);
  return (
    <Select
      {...rest}
      {...field}
      data={data as Choice[]}
      value={value}
      allowDeselect={false}
      error={error ?? said}
      // What is chosen already is no change, and is taken all the same.
      onOptionSubmit={(picked) => {
        if (picked === value) take(picked);
      }}
      onChange={(picked) => {
        take(picked);
        onChange(picked);
      }}
    />
  );
}

/** Several of many, in the same way. */
export function PickSome({ data, value, onChange, error, ...rest }: PickSomeProps) {
  const { said, take, field } = useTyped(flatten(data), value, false);
  return (
    <MultiSelect
      {...rest}
      {...field}
      data={data as Choice[]}
      value={[...value]}
      error={error ?? said}
      onChange={(chosen) => {
        take(null);
        onChange(chosen);
      }}
    />
  );
}
