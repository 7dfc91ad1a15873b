'use client';

import { createContext, use } from 'react';
import type { FloorBundle } from '@/server/running/floorBundle';
import type { Floor } from './useFloor';
import type { ViewEvent } from './view';

/** The class on this device, as every screen of the floor reads it. */
export interface FloorClass {
  readonly floor: Floor;
  readonly bundle: FloorBundle;
  /** First names, by id. */
  readonly names: ReadonlyMap<string, string>;
  /** Ids of who is in the room. */
  readonly here: readonly string[];
  readonly isTeacher: boolean;
  /** Shows something else. */
  readonly tell: (event: ViewEvent) => void;
}

const FloorContext = createContext<FloorClass | null>(null);

export const FloorProvider = FloorContext.Provider;

/** @throws Error outside the screens of the floor */
export function useFloorClass(): FloorClass {
  const value = use(FloorContext);
  if (value === null) throw new Error('There is no class here.');
  return value;
}
