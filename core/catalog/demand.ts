/**
 * What a gate asks: checks at a bar, things that stand in for a check, and ways to say "or".
 * Source: handbook 12. Plain data, so that a teacher's own entries can be written the same way.
 */
import { z } from 'zod';
import { baseIds, type BaseId, type CheckKey } from './checks';
import { namedCheck, namedStage } from './namedKeys';
import type { StageKey } from './stage';

/** Things and adaptations that do instead of a check and become part of the set-up. */
export const equipmentTable = {
  'forearm-lift': { label: 'a firm lift under both forearms', isAlwaysThere: false },
  wedge: { label: 'a wedge under the heels of the hands', isAlwaysThere: false },
  'toe-rest': { label: 'a rest under thighs or toes', isAlwaysThere: false },
  /** Every studio has one; the plan takes it from the cupboard. */
  strap: { label: 'a strap round the upper arms', isAlwaysThere: true },
  'bent-knees': { label: 'bent knees', isAlwaysThere: true },
} as const;

export type EquipmentId = keyof typeof equipmentTable;
export const equipmentIds = Object.keys(equipmentTable) as [EquipmentId, ...EquipmentId[]];

/** One check at a bar. Without `share`, `value` or `below`: the profile's whole bar. */
export interface CheckDemand {
  readonly check: CheckKey;
  readonly base?: BaseId;
  /** So many times the profile's bar: 0.5 is "at half". */
  readonly share?: number;
  /** A bar of its own, in the check's unit. */
  readonly value?: number;
  /** So much under the profile's bar. */
  readonly below?: number;
  /** The bar must have been seen on so many days; the model's two otherwise. */
  readonly onDays?: number;
}

/** The stage was worked at before: the student stands there or beyond, or one of the checks was seen. */
export interface PractisedDemand<Stage extends string = StageKey> {
  readonly practised: Stage;
  readonly seenBy?: readonly CheckDemand[];
}

/** `Stage` is for the table of the stages alone, which cannot ask for its own keys while it is made. */
export type Demand<Stage extends string = StageKey> =
  | CheckDemand
  | { readonly with: EquipmentId }
  /** A helper's hands throughout, within the student's word on touch. */
  | { readonly assist: true }
  | PractisedDemand<Stage>
  /** Another stage's whole gate. */
  | { readonly opens: Stage }
  | { readonly anyOf: readonly Demand<Stage>[] }
  | { readonly allOf: readonly Demand<Stage>[] };

const checkDemandSchema = z
  .strictObject({
    check: namedCheck,
    base: z.enum(baseIds).optional(),
    share: z.number().positive().max(10).optional(),
    value: z.number().positive().max(3600).optional(),
    below: z.number().positive().max(3600).optional(),
    onDays: z.int().min(1).max(10).optional(),
  })
  .refine(
    ({ share, value, below }) =>
      [share, value, below].filter((bar) => bar !== undefined).length < 2,
    'Give a share, a value or a distance below the bar, not several.',
  );

/** A gate's line as it stands in a file. */
export const demandSchema: z.ZodType<Demand> = z.lazy(() =>
  z.union([
    checkDemandSchema,
    z.strictObject({ with: z.enum(equipmentIds) }),
    z.strictObject({ assist: z.literal(true) }),
    z.strictObject({ practised: namedStage, seenBy: z.array(checkDemandSchema).max(6).optional() }),
    z.strictObject({ opens: namedStage }),
    z.strictObject({ anyOf: z.array(demandSchema).min(1).max(6) }),
    z.strictObject({ allOf: z.array(demandSchema).min(1).max(6) }),
  ]),
) as z.ZodType<Demand>;

export const isCheckDemand = (demand: Demand): demand is CheckDemand => 'check' in demand;

/** Every demand inside a demand, itself included. */
export function* walkDemand(demand: Demand): Generator<Demand> {
  yield demand;
  if ('anyOf' in demand) for (const inner of demand.anyOf) yield* walkDemand(inner);
  if ('allOf' in demand) for (const inner of demand.allOf) yield* walkDemand(inner);
  if ('practised' in demand) yield* demand.seenBy ?? [];
}
