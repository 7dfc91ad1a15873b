/**
 * What a student does instead when a stage is closed: the same place in the class, an honest
 * version. In the order they are offered. Those that are stages pass through the same gates and
 * cautions as any stage; the last ones have neither head below heart nor weight on the arms.
 * Source: handbook 07 "Always open".
 */
import type { MoveId } from '../atlas/moves';
import type { ShapeRef } from '../shapes/posed';
import type { CautionColumn } from './cautionColumns';
import type { CautionId } from './cautions';
import type { ShippedPieceId } from './pieces';
import type { BodyRegion, RegionLoads } from './regions';
import type { StageId } from './stages';

export interface AlternativeSpec {
  readonly label: string;
  readonly move: MoveId;
  readonly how: string;
  /** A stage of some ladder: its columns, loads and gate apply. */
  readonly stage?: StageId;
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  /** Strained besides what is loaded. */
  readonly strains: readonly BodyRegion[];
  readonly shape: ShapeRef;
  /** Taken from the cupboard. */
  readonly pieces: readonly { readonly piece: ShippedPieceId; readonly count: number }[];
  /** At the wall, where its stage does not say so. */
  readonly needsWall?: true;
  /** Lying or sitting by: no turn at anything. */
  readonly isRest?: true;
  /** Reports for which the next one is kinder. */
  readonly notFor?: readonly CautionId[];
}

export const alternativeTable = {
  'forearm-l': {
    label: 'L on the forearms',
    move: 'forearm-l',
    how: 'Feet at hip height or lower on the wall, shoulders over the elbows, head free.',
    stage: 'FS8',
    columns: ['light'],
    loads: { shoulder: 0.9, scapula: 0.8, core: 0.4 },
    strains: ['hip', 'back', 'hamstring'],
    shape: { family: 'forearmWallL' },
    pieces: [],
  },
  'shoulder-rest': {
    label: 'Shoulder-rest stack',
    move: 'shoulder-rest',
    how: 'Upper back on the blocks at the wall, hands round the low block, head free; one leg lifts, then the other.',
    stage: 'HS-a',
    columns: ['light'],
    loads: { shoulder: 0.6, scapula: 0.6, core: 0.3 },
    strains: ['hip', 'neck'],
    shape: { still: 'shoulder-rest' },
    pieces: [{ piece: 'foam-block', count: 3 }],
  },
  'dolphin-chair': {
    label: 'Dolphin on a chair',
    move: 'dolphin-chair',
    how: 'Forearms on the seat, chair against the wall; walk the feet back until the back is long, knees soft.',
    columns: ['mild'],
    loads: { shoulder: 0.3, scapula: 0.3 },
    strains: ['back', 'hamstring', 'elbow'],
    shape: { still: 'dolphin-chair' },
    pieces: [{ piece: 'chair', count: 1 }],
    needsWall: true,
  },
  'legs-up': {
    label: 'Legs up the wall',
    move: 'legs-up',
    how: 'Hips on a bolster a little out from the wall, legs resting up it.',
    stage: 'SS3',
    columns: ['mild'],
    loads: { hamstring: 0.2 },
    strains: [],
    shape: { still: 'legs-up' },
    pieces: [{ piece: 'bolster-rectangular', count: 1 }],
  },
  'sacrum-stack': {
    label: 'Sacrum stack',
    move: 'sacrum-stack',
    how: 'Flat firm pieces under the sacrum, calves on a chair; in one by one, out one by one.',
    stage: 'SS2',
    columns: ['mild'],
    loads: {},
    strains: ['back', 'hip'],
    shape: { still: 'sacrum-stack' },
    pieces: [
      { piece: 'chair', count: 1 },
      { piece: 'flat-foam', count: 2 },
    ],
  },
  'calves-on-chair': {
    label: 'Calves on a chair',
    move: 'calves-on-chair',
    how: 'On the back, hips on the floor close to the chair, calves on the seat, a folded blanket under the head.',
    columns: [],
    loads: {},
    strains: [],
    shape: { still: 'calves-on-chair' },
    notFor: ['pregnancy'],
    pieces: [{ piece: 'chair', count: 1 }],
  },
  'propped-recline': {
    label: 'Propped recline',
    move: 'recline',
    how: 'Half sitting against a bolster on two blocks, a roll under the knees, arms on cushions.',
    columns: [],
    loads: {},
    strains: [],
    shape: { still: 'hollow', moment: { move: 'recline', key: 1 } },
    pieces: [
      { piece: 'bolster-rectangular', count: 1 },
      { piece: 'foam-block', count: 2 },
    ],
  },
  'seated-shoulders': {
    label: 'Seated shoulder work',
    move: 'seated-shoulders',
    how: 'On a chair: arm wraps, strap passes, blades apart and together, at an easy pace.',
    columns: ['reach'],
    loads: { shoulder: 0.2 },
    strains: [],
    shape: { still: 'boat', moment: { move: 'seated-shoulders', key: 0 } },
    pieces: [{ piece: 'chair', count: 1 }],
  },
  'standing-shoulders': {
    label: 'Standing shoulder work, hands free',
    move: 'standing-shoulders',
    how: 'Feet apart: blades apart and together, forearms opening outwards, elbows at the ribs; easy pace.',
    columns: [],
    loads: { shoulder: 0.1 },
    strains: [],
    shape: { still: 'boat', moment: { move: 'standing-shoulders', key: 1 } },
    pieces: [],
  },
  'seated-breath': {
    label: 'Seated, tall, breathing',
    move: 'seated-breath',
    how: 'Cross-legged or on the heels, hands on the thighs; long back, slow breath, feet and ankles move.',
    columns: [],
    loads: {},
    strains: [],
    shape: { still: 'boat', moment: { move: 'seated-breath', key: 0 } },
    pieces: [],
  },
  rest: {
    label: 'Rest',
    move: 'rest',
    how: 'Lie or sit as is easiest. When in doubt, or unwell: rest, and ask a doctor before the next class.',
    columns: [],
    loads: {},
    strains: [],
    shape: { still: 'hollow', moment: { move: 'rest', key: 0 } },
    pieces: [],
    isRest: true,
  },
} as const satisfies Record<string, AlternativeSpec>;

export type AlternativeId = keyof typeof alternativeTable;
export const alternativeIds = Object.keys(alternativeTable) as [AlternativeId, ...AlternativeId[]];
export const getAlternative = (id: AlternativeId): AlternativeSpec => alternativeTable[id];
