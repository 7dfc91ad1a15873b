'use client';

import { PickOne } from '@/design/Picker';
import { usePathname, useRouter } from 'next/navigation';

interface PersonPickerProps {
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly chosen: number | null;
}

/** At whose size the rung is drawn. */
export function PersonPicker({ people, chosen }: PersonPickerProps) {
  const router = useRouter();
  const path = usePathname();
  if (people.length === 0) return null;
  return (
    <PickOne
      aria-label="At whose size"
      data={people.map(({ id, name }) => ({ value: String(id), label: name }))}
      value={chosen === null ? null : String(chosen)}
      onChange={(value) => value !== null && router.push(`${path}?person=${value}`)}
    />
  );
}
