/**
 * What a student does instead when a caution closes the stage: the same place in the class, an
 * honest version. In the order they are offered; the last is neither head-down nor on the arms.
 * Source: handbook 07 "Always open".
 */
import type { CautionColumn } from './cautions';

export interface AlternativeSpec {
  readonly label: string;
  readonly how: string;
  /** Cautions it passes through; none for the last fallback. */
  readonly column: CautionColumn | null;
}

export const alternativeTable = {
  'dolphin-chair': {
    label: 'Dolphin on a chair',
    how: 'Forearms on the seat, chair against the wall; walk the feet back until the back is long, knees soft.',
    column: 'mild',
  },
  'calves-on-chair': {
    label: 'Calves on a chair',
    how: 'On the back, hips on the floor close to the chair, calves on the seat, a folded blanket under the head.',
    column: null,
  },
} as const satisfies Record<string, AlternativeSpec>;

export type AlternativeId = keyof typeof alternativeTable;
export const alternativeIds = Object.keys(alternativeTable) as [AlternativeId, ...AlternativeId[]];
