/**
 * The one gatekeeper: whatever a person is told to do is asked the same questions here. Stages,
 * alternatives, drills, pauses, checks, counterposes, home practice and what is left when something
 * gets sore: each declares what it asks of a body, and gets an answer for one person on one day.
 * Source: handbook 07 "One gatekeeper".
 */
import type { AlternativeSpec } from '../catalog/alternatives';
import type { CautionColumn } from '../catalog/cautionColumns';
import type { CautionId } from '../catalog/cautions';
import type { BaseId, CheckKey } from '../catalog/checks';
import type { DrillSpec } from '../catalog/drills';
import type { BodyRegion, RegionLoads } from '../catalog/regions';
import { getStageIn } from '../catalog/school';
import { ladderTable, type LadderId, type StageKey, type StageSpec } from '../catalog/stage';
import { evaluateCautions, type CautionVerdict } from '../caution/evaluate';
import type { OpenedCase, OpenPain } from './case';
import { isScreenedFor, regionsOf } from './asked';
import { hasReached } from './gate';

/** What something asks of a body. All of it is said; nothing is taken for granted. */
export interface Thing {
  readonly columns: readonly CautionColumn[];
  readonly loads: RegionLoads;
  readonly strains: readonly BodyRegion[];
  readonly ladder?: LadderId;
  /** Away from every support. */
  readonly isFree?: boolean;
  /** Beyond what the student has practised. */
  readonly isNew?: boolean;
  /** A hop, a kick, a float: an attempt. */
  readonly isAttempt?: boolean;
  /** How it is done without weight on the wrists. */
  readonly sparesWrists?: string;
  /** Said besides to whoever has reported this. */
  readonly saysTo?: Readonly<Partial<Record<CautionId, string>>>;
  readonly notFor?: readonly CautionId[];
}

declare const letIn: unique symbol;

/**
 * Said of what may be shown to one person as theirs to do today. Only this file can say it: what a
 * plan, a print, a file or a device tells somebody carries it, or does not compile.
 */
export type Pass = 'open' & { readonly [letIn]: true };

const pass = 'open' as Pass;

/** Lying down and watching ask nothing of anybody. */
export const restPass: Pass = pass;

/** Why something is closed: a caution, an unanswered stop sign, pain not noted as gone. */
export type CareCause = 'care' | 'sign' | 'pain';

export type CareRuling =
  | {
      readonly isOpen: true;
      readonly caution: CautionVerdict;
      /** What to do differently; with words there somebody should look as well. */
      readonly watch: readonly string[];
      /** Never screened: open only if that is asked at the door. */
      readonly asksScreening: boolean;
      readonly pass: Pass;
    }
  | {
      readonly isOpen: false;
      readonly caution: CautionVerdict;
      readonly cause: CareCause;
      readonly pain: OpenPain | null;
    };

/** The newest open pain that something would meet. */
export function findPainFor(
  pains: readonly OpenPain[],
  thing: Pick<Thing, 'loads' | 'strains'>,
): OpenPain | null {
  const used = regionsOf(thing);
  return pains.find(({ regions }) => used.some((region) => regions.has(region))) ?? null;
}

function ruleAsIs(person: OpenedCase, thing: Thing): CareRuling {
  const caution = evaluateCautions(person.care, thing, person.asOf);
  const pain = findPainFor(person.pains, thing);
  const closed = (cause: CareCause): CareRuling => ({ isOpen: false, caution, cause, pain });
  if (caution.hasOpenSign) return closed('sign');
  if (!caution.isOpen || person.care.reports.some((id) => thing.notFor?.includes(id))) {
    return closed('care');
  }
  if (pain !== null) return closed('pain');
  const said = person.care.reports.flatMap((id) => thing.saysTo?.[id] ?? []);
  const watch = [...caution.adaptations, ...said];
  return {
    isOpen: true,
    caution: said.length === 0 ? caution : { ...caution, isWatched: true, adaptations: watch },
    watch,
    asksScreening: person.care.isNeverScreened === true && isScreenedFor(thing),
    pass,
  };
}

/** What to do differently in something that is open; nothing for what is closed. */
export function careFor(person: OpenedCase, thing: Thing): { readonly watch: readonly string[] } {
  const ruling = ruleOnCare(person, thing);
  return { watch: ruling.isOpen ? ruling.watch : [] };
}

/** Open tonight without anything to be asked first: for what is no stage and has no fallback beside. */
export function letThrough(person: OpenedCase, thing: Thing): Pass | null {
  const ruling = ruleOnCare(person, thing);
  return ruling.isOpen && !ruling.asksScreening ? ruling.pass : null;
}

export const isOpenUnasked = (person: OpenedCase, thing: Thing): boolean =>
  letThrough(person, thing) !== null;

/** Closed to somebody who was never asked, and to them only until they are. */
export function isOpenOnceAsked(person: OpenedCase, thing: Thing): boolean {
  const ruling = ruleOnCare(person, thing);
  return ruling.isOpen && ruling.asksScreening;
}

/** What cautions, stop signs and pain say of something for one person today. */
export function ruleOnCare(person: OpenedCase, thing: Thing): CareRuling {
  const asIs = ruleAsIs(person, thing);
  if (asIs.isOpen || thing.sparesWrists === undefined) return asIs;
  const { wrist: _, ...loads } = thing.loads;
  const spared = ruleAsIs(person, {
    ...thing,
    loads,
    columns: thing.columns.filter((column) => column !== 'wrists'),
  });
  if (!spared.isOpen) return asIs;
  const watch = [...new Set([...spared.watch, thing.sparesWrists])];
  return {
    ...spared,
    watch,
    caution: { ...spared.caution, isWatched: true, adaptations: watch },
  };
}

/** A stage as the gatekeeper sees it for one person. */
export const thingOfStage = (person: OpenedCase, stage: StageKey, spec: StageSpec): Thing => ({
  columns: spec.columns,
  loads: spec.loads,
  strains: spec.strains,
  ladder: spec.family,
  isFree: spec.isFree === true,
  isAttempt: spec.isAttempt === true,
  isNew: !hasReached(person.school, person.present[spec.family], stage),
  ...(spec.sparesWrists === undefined ? {} : { sparesWrists: spec.sparesWrists }),
  ...(spec.saysTo === undefined ? {} : { saysTo: spec.saysTo }),
});

/** What is done instead: as its stage, where it is one; else as it says itself, and nobody's novelty. */
export function thingOfAlternative(
  person: OpenedCase,
  spec: AlternativeSpec,
  family: LadderId,
): Thing {
  const { stage, columns, loads, strains, notFor } = spec;
  const own = stage === undefined ? undefined : person.school.stages.get(stage)?.spec;
  const kept = notFor === undefined ? {} : { notFor };
  if (stage === undefined || own === undefined) {
    return { columns, loads, strains, ladder: family, isNew: false, ...kept };
  }
  return { ...thingOfStage(person, stage, own), ...kept };
}

/** A drill is new to whoever never showed anything that it serves. */
export const thingOfDrill = ({ evidence }: OpenedCase, drill: DrillSpec): Thing => ({
  columns: drill.columns,
  loads: drill.loads,
  strains: drill.strains,
  isNew: !drill.serves.some((check) => (evidence[check] ?? []).length > 0),
});

/** What follows a family's holds is nobody's novelty. */
export const thingOfCounter = (family: LadderId): Thing => {
  const { columns, loads, strains } = ladderTable[family].counter;
  return { columns, loads, strains, ladder: family, isNew: false };
};

/** The stage that a check is shown in; `null`: it needs none. */
export function stageOfCheck(
  person: OpenedCase,
  check: CheckKey,
  base: BaseId | undefined,
): StageKey | null {
  const takenIn = person.school.checks.get(check)?.spec.takenIn;
  if (takenIn === undefined || typeof takenIn === 'string') return takenIn ?? null;
  return takenIn[base ?? 'hands'];
}

/** A check asks what it says, and what the stage asks that it is shown in. */
export function thingOfCheck(
  person: OpenedCase,
  check: CheckKey,
  base: BaseId | undefined,
): Thing | null {
  const spec = person.school.checks.get(check)?.spec;
  if (spec === undefined) return null;
  const own = { columns: spec.columns, loads: spec.loads ?? {}, strains: spec.strains };
  const stage = stageOfCheck(person, check, base);
  if (stage === null || !person.school.stages.has(stage)) {
    return { ...own, isNew: (person.evidence[check] ?? []).length === 0 };
  }
  const shown = thingOfStage(person, stage, getStageIn(person.school, stage).spec);
  return {
    ...shown,
    columns: [...new Set([...own.columns, ...shown.columns])],
    loads: { ...shown.loads, ...own.loads },
    strains: [...new Set([...own.strains, ...shown.strains])],
  };
}
