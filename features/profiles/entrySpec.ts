/** From what the forms hold to entries as the catalog reads them. */
import type { OwnKey } from '@/core/catalog/ownKey';
import type { MoveId } from '@/core/atlas/moves';
import { baseOfLadder } from '@/core/running/follow';
import type { CautionColumn } from '@/core/catalog/cautionColumns';
import {
  centimetres,
  checkIds,
  degrees,
  getCheck,
  mostSeconds,
  rungs,
  type BaseId,
  type CheckId,
  type FaultId,
  type Scoring,
} from '@/core/catalog/checks';
import { isLedBy, type TryKind } from '@/core/catalog/tries';
import type { WayUpId } from '@/core/catalog/waysUp';
import type { CheckView, InstrumentId } from '@/core/catalog/taking';
import { regions, type BodyRegion, type Region, type RegionLoads } from '@/core/catalog/regions';
import type { LadderId } from '@/core/catalog/stage';

/** `Wall walk, up!` becomes `own-wall-walk-up`. */
export function keyFor(label: string): OwnKey {
  const plain = label
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 50);
  return `own-${plain === '' ? 'entry' : plain}`;
}

const tires = (region: BodyRegion): region is Region => regions.some((one) => one === region);

/** What tires counts as loaded; what only strains is closed by pain there, and loads nothing. */
function splitRegions(
  chosen: readonly BodyRegion[],
  load: number,
): { loads: RegionLoads; strains: BodyRegion[] } {
  return {
    loads: Object.fromEntries(chosen.filter(tires).map((region) => [region, load])),
    strains: chosen.filter((region) => !tires(region)),
  };
}

/** A drawing that was chosen, or nothing. */
const drawnAs = <Key extends string>(key: Key, move: MoveId | '') =>
  move === '' ? {} : { [key]: move };

export interface StageForm {
  readonly label: string;
  readonly family: LadderId;
  readonly after: string;
  readonly branch: string;
  readonly how: string;
  readonly dose: string;
  readonly stepDown: string;
  readonly exit: string;
  readonly columns: readonly CautionColumn[];
  readonly regions: readonly BodyRegion[];
  readonly checks: readonly string[];
  /** `family:dog` or `still:box`; empty: no drawing. */
  readonly shape: string;
  /** How it is come into and how it is left, drawn; empty: not. */
  readonly move: MoveId | '';
  readonly leave: MoveId | '';
  readonly isFree: boolean;
  readonly needsWall: boolean;
  /** How it is tried, where it is no shape that is held from the first. */
  readonly tried: TryKind | '';
  /** Ways up that a try may take; of hops and kicks to a wall on the hands. */
  readonly waysUp: readonly WayUpId[];
  /** What is watched for. */
  readonly faults: readonly FaultId[];
}

/** Ways up are ways to a wall, on the hands, with a leg or both that spring. */
export const mayHaveWays = ({ family, needsWall, tried }: StageForm): boolean =>
  needsWall && tried !== '' && isLedBy(tried) && baseOfLadder[family] === 'hands';

/** What an own stage loads unless it says more precisely: working, not the most there is. */
const usualLoad = 0.7;

/** A try is the student's own word as well, on the base it is done on. */
function gateOf({ checks, tried }: StageForm, base: BaseId | null) {
  const asksConfidence = tried !== '' && base !== null && !checks.includes('confidence');
  return [...checks, ...(asksConfidence ? ['confidence'] : [])].map((check) => {
    const byBase = checkIds.includes(check as CheckId) && getCheck(check as CheckId).byBase;
    return byBase && base !== null ? { check, base } : { check };
  });
}

/** What a try is counted and timed as. */
const triedAs: Readonly<Record<TryKind, object>> = {
  hop: { isAttempt: true, isHop: true },
  kick: { isAttempt: true },
  lift: { isAttempt: true, isLift: true },
};

/** Own stages are side lines: nothing shipped comes after them. */
export function toStageSpec(form: StageForm): Record<string, unknown> {
  const [kind = '', name = ''] = form.shape.split(':');
  return {
    family: form.family,
    label: form.label,
    isAside: true,
    after: form.after === '' ? [] : [form.after],
    ...(form.branch === '' ? {} : { branch: form.branch }),
    how: form.how,
    dose: form.dose,
    gate: gateOf(form, baseOfLadder[form.family]),
    faults: [...form.faults],
    stepDown: form.stepDown,
    assist: null,
    exit: form.exit,
    columns: [...form.columns],
    ...splitRegions(form.regions, usualLoad),
    ...(form.needsWall ? { needsWall: true } : {}),
    ...(form.isFree ? { isFree: true, needsExit: true } : {}),
    ...(form.tried === '' ? {} : triedAs[form.tried]),
    ...(mayHaveWays(form) && form.waysUp.length > 0 ? { waysUp: [...form.waysUp] } : {}),
    ...(form.shape === '' ? {} : { shape: { [kind]: name } }),
    ...drawnAs('move', form.move),
    ...drawnAs('leave', form.leave),
  };
}

export const ownCheckKinds = ['hold', 'reps', 'pass', 'measure', 'angle', 'level'] as const;

export interface CheckForm {
  readonly label: string;
  readonly kind: (typeof ownCheckKinds)[number];
  readonly bar: number;
  readonly validDays: number;
  readonly hasSides: boolean;
  readonly isPrivate: boolean;
  readonly view: CheckView;
  readonly instrument: InstrumentId;
  readonly method: string;
  /** One a line, the first is level 0; of a check with levels. */
  readonly levels: string;
  readonly voidedBy: readonly FaultId[];
  readonly move: MoveId | '';
  readonly columns: readonly CautionColumn[];
  readonly regions: readonly BodyRegion[];
}

/** Holds and counts may go to eight times the bar before it is taken for a slip. */
const roomAbove = 8;
/** No joint turns further. Degrees. */
const mostDegrees = 360;

function scoringOf({ kind, bar }: CheckForm): Scoring {
  switch (kind) {
    case 'hold':
    case 'reps':
      return { kind };
    case 'pass':
      return { kind, passes: bar, days: Math.min(bar, 2) };
    case 'measure':
      return centimetres('more');
    case 'angle':
      return degrees;
    case 'level':
      return rungs;
    default:
      return kind satisfies never;
  }
}

/** The largest value that could honestly be recorded. */
function mostOf({ kind, bar }: CheckForm, levels: readonly string[]): number {
  switch (kind) {
    case 'hold':
    case 'reps':
    case 'measure':
      return Math.min(mostSeconds, Math.max(10, bar * roomAbove));
    case 'pass':
      return 1;
    case 'angle':
      return mostDegrees;
    case 'level':
      return Math.max(1, levels.length - 1);
    default:
      return kind satisfies never;
  }
}

export function toCheckSpec(form: CheckForm) {
  const { label, kind, bar, validDays, hasSides, isPrivate, columns, voidedBy } = form;
  const method = form.method.trim();
  const levels =
    kind === 'level'
      ? form.levels
          .split('\n')
          .map((line) => line.trim())
          .filter((line) => line !== '')
      : [];
  return {
    label,
    scoring: scoringOf(form),
    opensAt: { 'prop-led': bar, 'strength-led': bar, 'play-led': bar },
    validDays,
    voidedBy: [...voidedBy],
    ...(hasSides ? { hasSides: true } : {}),
    ...(kind === 'hold' ? { timedTogether: true } : {}),
    ...(isPrivate ? { isPrivate: true } : {}),
    taking: { view: form.view, instrument: form.instrument },
    ...(method === '' ? {} : { method }),
    ...(kind === 'level' ? { levels } : {}),
    ...drawnAs('move', form.move),
    columns: [...columns],
    strains: [...form.regions],
    most: mostOf(form, levels),
  };
}

export interface DrillForm {
  readonly label: string;
  readonly how: string;
  readonly dose: string;
  readonly minutes: number;
  readonly sets: number;
  readonly seconds: number;
  readonly purpose: 'warms' | 'strengthens' | 'teaches';
  readonly isClassOnly: boolean;
  readonly serves: readonly string[];
  readonly move: MoveId | '';
  readonly regions: readonly BodyRegion[];
  readonly columns: readonly CautionColumn[];
}

/** What an own drill loads: as much as most that ship. */
const usualDrillLoad = 0.5;

export function toDrillSpec(form: DrillForm) {
  const { regions: chosen, sets, seconds, isClassOnly, move, ...rest } = form;
  return {
    ...rest,
    ...drawnAs('move', move),
    work: { sets, seconds },
    ...(isClassOnly ? { isClassOnly: true } : {}),
    ...splitRegions(chosen, usualDrillLoad),
    pieces: [],
  };
}
