'use client';

import { createContext, use, type ReactNode } from 'react';
import type { LengthUnits } from '@/core/units/length';
import { sayReading } from '@/core/units/reading';

const Units = createContext<LengthUnits>('cm');

/** Below it lengths are said in the units of the studio. */
export function UnitsProvider({
  units,
  children,
}: {
  readonly units: LengthUnits;
  readonly children: ReactNode;
}) {
  return <Units value={units}>{children}</Units>;
}

export const useUnits = (): LengthUnits => use(Units);

/** What the computation says of checks, in centimetres, for whoever reads a tape in inches. */
export function Said({ children }: { readonly children: string }) {
  return sayReading(children, useUnits());
}
