/**
 * What a student does instead when a stage is closed: the same place in the class, an honest
 * version. In the order they are offered. Those that are stages pass through the same gates and
 * cautions as any stage; the last ones have neither head below heart nor weight on the arms.
 * Source: handbook 07 "Always open".
 */
import type { StillId } from '../posture/stills';
import type { CautionColumn, CautionId } from './cautions';
import type { RegionLoads } from './regions';
import type { StageId } from './stages';

export interface AlternativeSpec {
  readonly label: string;
  readonly how: string;
  /** A stage of some ladder: its columns, loads and gate apply. */
  readonly stage?: StageId;
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  readonly still: StillId | null;
  /** Reports for which the next one is kinder. */
  readonly notFor?: readonly CautionId[];
}

export const alternativeTable = {
  'forearm-l': {
    label: 'L on the forearms',
    how: 'Feet at hip height or lower on the wall, shoulders over the elbows, head free.',
    stage: 'FS8',
    columns: ['light'],
    loads: { shoulder: 0.9, scapula: 0.8, core: 0.4 },
    still: null,
  },
  'shoulder-rest': {
    label: 'Shoulder-rest stack',
    how: 'Upper back on the blocks at the wall, hands round the low block, head free; one leg lifts, then the other.',
    stage: 'HS-a',
    columns: ['light'],
    loads: { shoulder: 0.6, scapula: 0.6, core: 0.3 },
    still: 'shoulder-rest',
  },
  'dolphin-chair': {
    label: 'Dolphin on a chair',
    how: 'Forearms on the seat, chair against the wall; walk the feet back until the back is long, knees soft.',
    columns: ['mild'],
    loads: { shoulder: 0.3, scapula: 0.3 },
    still: 'dolphin-chair',
  },
  'legs-up': {
    label: 'Legs up the wall',
    how: 'Hips on a bolster a little out from the wall, legs resting up it.',
    stage: 'SS3',
    columns: ['mild'],
    loads: { hamstring: 0.2 },
    still: 'legs-up',
  },
  'sacrum-stack': {
    label: 'Sacrum stack',
    how: 'Flat firm pieces under the sacrum, calves on a chair; in one by one, out one by one.',
    stage: 'SS2',
    columns: ['mild'],
    loads: {},
    still: 'sacrum-stack',
  },
  'calves-on-chair': {
    label: 'Calves on a chair',
    how: 'On the back, hips on the floor close to the chair, calves on the seat, a folded blanket under the head.',
    columns: [],
    loads: {},
    still: 'calves-on-chair',
    notFor: ['pregnancy'],
  },
  'propped-recline': {
    label: 'Propped recline',
    how: 'Half sitting against a bolster on two blocks, a roll under the knees, arms on cushions.',
    columns: [],
    loads: {},
    still: null,
  },
  'seated-shoulders': {
    label: 'Seated shoulder work',
    how: 'On a chair: arm wraps, strap passes, blades apart and together, at an easy pace.',
    columns: [],
    loads: { shoulder: 0.2 },
    still: null,
  },
  rest: {
    label: 'Rest',
    how: 'Lie or sit as is easiest. When in doubt, or unwell: rest, and ask a doctor before the next class.',
    columns: [],
    loads: {},
    still: null,
  },
} as const satisfies Record<string, AlternativeSpec>;

export type AlternativeId = keyof typeof alternativeTable;
export const alternativeIds = Object.keys(alternativeTable) as [AlternativeId, ...AlternativeId[]];
export const getAlternative = (id: AlternativeId): AlternativeSpec => alternativeTable[id];
