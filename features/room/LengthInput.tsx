'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  formatRoomLength,
  parseLength,
  parseRoomLength,
  type LengthUnits,
} from '@/core/units/length';

interface LengthInputProps {
  readonly label: string;
  readonly isLabelHidden?: boolean;
  readonly metres: number;
  readonly units: LengthUnits;
  readonly width?: number;
  /** Of the whole room: what is typed small is meant large. */
  readonly isOfRoom?: true;
  readonly onChange: (metres: number) => void;
}

/** A length as a teacher would say it: 9.6 m, 960, 31'6". Kept when the field is left. */
export function LengthInput(props: LengthInputProps) {
  const { label, isLabelHidden, metres, units, width = 110, isOfRoom, onChange } = props;
  const parse = isOfRoom ? parseRoomLength : parseLength;
  const shown = formatRoomLength(metres, units);
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? metres : parse(typed, units);
  const finish = () => {
    if (typed !== null && typed !== shown && read !== null && read !== metres) onChange(read);
    if (read !== null) setTyped(null);
  };
  return (
    <TextInput
      size="sm"
      w={width}
      {...(isLabelHidden ? { 'aria-label': label } : { label })}
      value={typed ?? shown}
      error={read === null ? 'A length, like 2.4 m' : undefined}
      onFocus={() => setTyped(shown)}
      onChange={({ currentTarget: { value } }) => setTyped(value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter') finish();
        if (event.key === 'Escape') setTyped(null);
      }}
    />
  );
}
