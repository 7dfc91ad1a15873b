'use client';

import { TextInput } from '@mantine/core';
import { useState } from 'react';

interface WordInputProps {
  readonly label: string;
  readonly words: string;
  readonly width: number;
  readonly onChange: (words: string) => void;
}

/** What something is called: kept when the field is left, or with Enter; Escape gives it back. */
export function WordInput({ label, words, width, onChange }: WordInputProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const finish = () => {
    if (typed !== null && typed.trim() !== words) onChange(typed.trim());
    setTyped(null);
  };
  return (
    <TextInput
      size="sm"
      w={width}
      aria-label={label}
      placeholder="what"
      maxLength={60}
      value={typed ?? words}
      onChange={({ currentTarget: { value } }) => setTyped(value)}
      onBlur={finish}
      onKeyDown={({ key }) => {
        if (key === 'Enter') finish();
        if (key === 'Escape') setTyped(null);
      }}
    />
  );
}
