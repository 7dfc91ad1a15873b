import { getCheck, type CheckId } from '../catalog/checks';
import type { ProfileId } from '../catalog/profiles';
import {
  equipmentTable,
  getStage,
  type CheckDemand,
  type EquipmentId,
  type StageId,
} from '../catalog/stages';
import { assess, type Assessment } from '../readiness/assess';
import type { CheckRecord } from '../readiness/record';
import type { Day } from '../units/day';

/** One person's evidence, by check. */
export type Evidence = Readonly<Partial<Record<CheckId, readonly CheckRecord[]>>>;

export interface GateItem extends Assessment {
  readonly demand: CheckDemand;
  readonly label: string;
  /** Set when equipment stands in for the check and becomes part of the set-up. */
  readonly standIn?: EquipmentId;
}

function ownDemands(stage: StageId, profile: ProfileId): readonly CheckDemand[] {
  const { gate, gateByProfile } = getStage(stage);
  return gateByProfile?.[profile] ?? gate;
}

/**
 * Every demand on the way to a stage, each check once at its highest bar (handbook 06 "A gate").
 * In the order in which the ladder first asks for them.
 */
export function collectDemands(stage: StageId, profile: ProfileId): CheckDemand[] {
  const path: StageId[] = [];
  for (let at: StageId | null = stage; at !== null; at = getStage(at).after) path.unshift(at);
  const byKey = new Map<string, CheckDemand>();
  for (const step of path) {
    for (const demand of ownDemands(step, profile)) {
      const key = `${demand.check}/${demand.base ?? ''}`;
      const known = byKey.get(key);
      if (known === undefined || (demand.share ?? 1) > (known.share ?? 1)) byKey.set(key, demand);
    }
  }
  return [...byKey.values()];
}

export interface GateInput {
  readonly profile: ProfileId;
  readonly asOf: Day;
  readonly evidence: Evidence;
  /** What the cupboard holds that may stand in for a check. */
  readonly equipment: readonly EquipmentId[];
}

/** The stage's whole cumulative gate, item by item. */
export function evaluateGate(stage: StageId, input: GateInput): GateItem[] {
  return collectDemands(stage, input.profile).map((demand) => evaluateDemand(demand, input));
}

/** Only what the stage itself asks, for telling whether somebody still holds it. */
export function evaluateOwnGate(stage: StageId, input: GateInput): GateItem[] {
  return ownDemands(stage, input.profile).map((demand) => evaluateDemand(demand, input));
}

function evaluateDemand(demand: CheckDemand, input: GateInput): GateItem {
  const assessment = assess({
    check: demand.check,
    profile: input.profile,
    asOf: input.asOf,
    records: input.evidence[demand.check] ?? [],
    ...(demand.base === undefined ? {} : { base: demand.base }),
    ...(demand.share === undefined ? {} : { barShare: demand.share }),
  });
  const item = { ...assessment, demand, label: getCheck(demand.check).label };
  const standIn = demand.or;
  if (standIn === undefined || item.status === 'met' || !input.equipment.includes(standIn)) {
    return item;
  }
  return {
    ...item,
    status: 'met',
    standIn,
    reasons: [...item.reasons, `open with ${equipmentTable[standIn].label}`],
  };
}
