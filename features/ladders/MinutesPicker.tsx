'use client';

import { NativeSelect } from '@mantine/core';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';

const choices = [3, 5, 8, 12, 20, 30];

export function MinutesPicker({ minutes }: { readonly minutes: number }) {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  const all = choices.includes(minutes) ? choices : [...choices, minutes].sort((a, b) => a - b);
  return (
    <NativeSelect
      aria-label="Minutes"
      data={all.map((one) => ({ value: String(one), label: `${one} min` }))}
      value={String(minutes)}
      onChange={(event) => {
        const next = new URLSearchParams(params);
        next.set('minutes', event.currentTarget.value);
        router.push(`${path}?${next.toString()}`);
      }}
    />
  );
}
