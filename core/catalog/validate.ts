/** Is a catalog sound? Used for what ships, for a teacher's own entries and for edited gates. */
import { isShape } from '../shapes/kinds';
import { entriesOf, keysOf, laidOver, tableOf } from '../units/keyed';
import type { CheckKey, CheckSpec } from './checks';
import { faultIds } from './checks';
import { walkDemand, type Demand } from './demand';
import { buildSchool, type Catalog, type ProfileVersion } from './school';
import { ladderIds, type StageKey, type StageSpec } from './stage';

export interface CatalogProblem {
  readonly where: string;
  readonly message: string;
}

/** Short enough to read while standing. */
const mostWords = { how: 200, line: 140, label: 60 } as const;

/**
 * Every reason why a catalog must not be used: unknown names, circles, stages nobody can reach,
 * missing ways down or out, text too long to read while standing. Empty when it is sound.
 */
export function validateCatalog(catalog: Catalog): CatalogProblem[] {
  const problems: CatalogProblem[] = [];
  const add = (where: string, message: string) => problems.push({ where, message });
  for (const [key, spec] of entriesOf(catalog.checks)) checkCheck(key, spec, add);
  for (const [key, stage] of entriesOf(catalog.stages)) {
    const where = `stage ${key}`;
    checkStage(where, stage, catalog, add);
    for (const gate of [
      stage.gate,
      ...Object.values(stage.gateByProfile ?? {}).map((other) => other.gate),
    ]) {
      for (const demand of gate) checkDemand(where, demand, catalog, add);
    }
  }
  for (const [key, drill] of entriesOf(catalog.drills)) {
    for (const check of drill.serves) {
      if (!(check in catalog.checks))
        add(`drill ${key}`, `serves a check that is not there: ${check}`);
    }
    if (drill.asStage !== undefined && !(drill.asStage in catalog.stages)) {
      add(`drill ${key}`, `stands for a stage that is not there: ${drill.asStage}`);
    }
    if (!(drill.minutes > 0)) add(`drill ${key}`, 'takes no time');
  }
  const circle = findCircle(catalog);
  if (circle !== null) add(`stage ${circle}`, 'asks for itself in a circle');
  else checkReach(catalog, add);
  return problems;
}

type Add = (where: string, message: string) => void;

function checkCheck(key: string, spec: CheckSpec, add: Add): void {
  const where = `check ${key}`;
  for (const bar of Object.values(spec.opensAt)) {
    if (!(bar > 0)) add(where, 'has a bar that everyone passes');
    const counts = spec.scoring.kind === 'pass' || spec.scoring.kind === 'pass-of-last';
    if (!counts && bar > spec.most) add(where, 'has a bar above what can be recorded');
  }
  if (spec.levels !== undefined && spec.levels.length !== spec.most + 1) {
    add(where, 'has more or fewer names than levels');
  }
  for (const fault of spec.voidedBy) {
    if (!faultIds.includes(fault)) add(where, `is voided by a fault that is not there: ${fault}`);
  }
  if (spec.label.length > mostWords.label)
    add(where, 'has a label too long to read while standing');
}

function checkStage(where: string, stage: StageSpec, catalog: Catalog, add: Add): void {
  if (!ladderIds.includes(stage.family)) add(where, `is on no ladder: ${stage.family}`);
  for (const before of stage.after) {
    if (!(before in catalog.stages)) add(where, `comes after a stage that is not there: ${before}`);
    else if (catalog.stages[before]!.family !== stage.family) {
      add(where, `comes after a stage of another ladder: ${before}`);
    }
  }
  if (stage.branch !== undefined && !(stage.branch in catalog.branches)) {
    add(where, `belongs to a branch that is not there: ${stage.branch}`);
  }
  for (const fault of stage.faults) {
    if (!faultIds.includes(fault)) add(where, `names a fault that is not there: ${fault}`);
  }
  if (stage.stepDown.trim() === '') add(where, 'has no way down');
  if (stage.downTo !== undefined && !(stage.downTo in catalog.stages)) {
    add(where, `steps down to a stage that is not there: ${stage.downTo}`);
  }
  for (const { held } of stage.round ?? []) {
    if (held !== undefined && !(held in catalog.checks)) {
      add(where, `is held as long as a check that is not there: ${held}`);
    }
  }
  if (stage.exit.trim() === '') add(where, 'has no way out');
  if (stage.label.trim() === '') add(where, 'has no name');
  if (stage.label.length > mostWords.label)
    add(where, 'has a name too long to read while standing');
  if (stage.how.length > mostWords.how) add(where, 'has words too long to read while standing');
  for (const text of [
    stage.dose,
    stage.stepDown,
    stage.exit,
    stage.assist ?? '',
    ...(stage.checkFirst ?? []),
  ]) {
    if (text.length > mostWords.line)
      add(where, `has a line too long to read while standing: ${text}`);
  }
  for (const [region, load] of Object.entries(stage.loads)) {
    if (!(load > 0 && load <= 1)) add(where, `loads ${region} by ${load}; above 0 and at most 1`);
  }
  if (stage.shape !== undefined && !isShape(stage.shape)) {
    add(where, 'is drawn with a shape that is not there');
  }
  if (stage.isFree && stage.columns.length === 0)
    add(where, 'is free and yet no caution looks at it');
}

function checkDemand(where: string, demand: Demand, catalog: Catalog, add: Add): void {
  for (const inner of walkDemand(demand)) {
    if ('check' in inner) {
      const check = catalog.checks[inner.check];
      if (check === undefined) add(where, `asks for a check that is not there: ${inner.check}`);
      else if (check.byBase && inner.base === undefined) {
        add(where, `asks for ${inner.check} without saying hands, forearms or head`);
      } else if (!check.byBase && inner.base !== undefined) {
        add(where, `asks for ${inner.check} on a base, which it does not have`);
      }
      if (check && inner.value !== undefined && inner.value > check.most) {
        add(where, `asks for more than can be recorded: ${inner.check}`);
      }
    }
    const stage = 'practised' in inner ? inner.practised : 'opens' in inner ? inner.opens : null;
    if (stage !== null && !(stage in catalog.stages)) {
      add(where, `asks for a stage that is not there: ${stage}`);
    }
  }
}

/** A stage that can only be reached, or opened, through itself. */
function findCircle({ stages }: Catalog): StageKey | null {
  const state = new Map<StageKey, 'open' | 'done'>();
  const visit = (key: StageKey): boolean => {
    const known = state.get(key);
    if (known === 'done') return false;
    if (known === 'open') return true;
    const stage = stages[key];
    if (stage === undefined) return false;
    state.set(key, 'open');
    const asked = [stage, ...Object.values(stage.gateByProfile ?? {})]
      .flatMap(({ gate }) => gate)
      .flatMap((demand) => [...walkDemand(demand)])
      .flatMap((demand) => ('opens' in demand ? [demand.opens] : []));
    const found = [...stage.after, ...asked].some(visit);
    state.set(key, 'done');
    return found;
  };
  return keysOf(stages).find(visit) ?? null;
}

/** Every stage has a way up in the shipped profiles together; a stage in none is unreachable. */
function checkReach(catalog: Catalog, add: Add): void {
  const profile: ProfileVersion = {
    key: 'all-open',
    label: 'all open',
    origin: 'prop-led',
    version: 1,
    changes: { closedBranches: [] },
  };
  for (const stage of buildSchool(profile, catalog).stages.values()) {
    if (stage.ways.length === 0)
      add(`stage ${stage.key}`, 'cannot be reached from the foot of its ladder');
  }
}

/** The bar that lets most people through among the profiles that ship. */
function loosestBar({ opensAt, scoring }: CheckSpec): number {
  const bars = Object.values(opensAt);
  return 'better' in scoring && scoring.better === 'less' ? Math.max(...bars) : Math.min(...bars);
}

const isLooser = ({ scoring }: CheckSpec, bar: number, loosest: number) =>
  'better' in scoring && scoring.better === 'less' ? bar > loosest : bar < loosest;

/** The safety checks that a gate asks for in any case: of each list one at least. */
function guardsOf(gate: readonly Demand[], catalog: Catalog): CheckKey[][] {
  return gate.flatMap((demand): CheckKey[][] => {
    if ('check' in demand) return catalog.checks[demand.check]?.isSafety ? [[demand.check]] : [];
    if ('allOf' in demand) return guardsOf(demand.allOf, catalog);
    if (!('anyOf' in demand)) return [];
    const ways = demand.anyOf.map((one) => guardsOf([one], catalog));
    // One way without a guard is a way round it.
    return ways.every((way) => way.length > 0) ? [[...new Set(ways.flat(2))]] : [];
  });
}

/** The same for a profile copy: names that exist, bars one could record, gates that are sound. */
export function validateProfile(profile: ProfileVersion, catalog: Catalog): CatalogProblem[] {
  const problems: CatalogProblem[] = [];
  const add = (where: string, message: string) => problems.push({ where, message });
  const {
    bars = {},
    gates = {},
    cues = {},
    closedBranches = [],
    closedStages = [],
  } = profile.changes;
  for (const [check, bar] of entriesOf(bars)) {
    const spec = catalog.checks[check];
    if (spec === undefined) add(`bar ${check}`, 'is for a check that is not there');
    else if (!(bar > 0)) add(`bar ${check}`, 'would be passed by everyone');
    else if (spec.scoring.kind === 'pass' || spec.scoring.kind === 'pass-of-last') {
      if (!Number.isInteger(bar) || bar > 10)
        add(`bar ${check}`, 'must be a whole number of passes, at most 10');
    } else if (bar > spec.most) add(`bar ${check}`, `cannot be above ${spec.most}`);
    const loosest = spec === undefined ? null : loosestBar(spec);
    if (loosest !== null && bar > 0 && isLooser(spec!, bar, loosest)) {
      add(`bar ${check}`, `would be looser than ${loosest}, the loosest of the profiles that ship`);
    }
  }
  for (const [stage, gate] of entriesOf(gates)) {
    const where = `stage ${stage}`;
    if (!(stage in catalog.stages)) add(where, 'is not there');
    for (const demand of gate) checkDemand(where, demand, catalog, add);
    const spec = catalog.stages[stage];
    if (spec === undefined) continue;
    const before = (spec.gateByProfile?.[profile.origin] ?? spec).gate;
    const kept = guardsOf(gate, catalog);
    for (const group of guardsOf(before, catalog)) {
      // What guards the student may be asked for more strictly, and never left out.
      if (!kept.some((own) => own.every((check) => group.includes(check)))) {
        const labels = group.map((check) => catalog.checks[check]?.label ?? check);
        add(where, `no longer asks for ${labels.join(' or ')}, which guards the student`);
      }
    }
  }
  for (const stage of [...keysOf(cues), ...closedStages]) {
    if (!(stage in catalog.stages)) add(`stage ${stage}`, 'is not there');
  }
  for (const branch of closedBranches) {
    if (!(branch in catalog.branches)) add(`branch ${branch}`, 'is not there');
  }
  for (const [stage, cue] of entriesOf(cues)) {
    if (cue.length > mostWords.line)
      add(`stage ${stage}`, 'has a cue too long to read while standing');
  }
  if (problems.length > 0) return problems;
  const changed: Catalog = {
    ...catalog,
    stages: laidOver(
      catalog.stages,
      tableOf(
        entriesOf(gates).flatMap(([key, gate]) => {
          const stage = catalog.stages[key];
          return stage === undefined ? [] : [[key, { ...stage, gate }] as const];
        }),
      ),
    ),
  };
  const circle = findCircle(changed);
  if (circle !== null) add(`stage ${circle}`, 'asks for itself in a circle');
  return problems;
}
