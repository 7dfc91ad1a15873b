/**
 * What is refused to one person today, what they do instead, and what would open it: for the teacher.
 * Why stands on the person's page and nowhere else. Source: handbook 07.
 */
import { entriesOf } from '../units/keyed';
import type { CautionColumn } from '../catalog/cautionColumns';
import { cautionTable } from '../catalog/cautions';
import type { DrillKey } from '../catalog/drills';
import { getStageIn } from '../catalog/school';
import { ladderIds, type LadderId, type StageKey } from '../catalog/stage';
import type { Clearance } from '../caution/care';
import { inSentence } from '../units/words';
import type { OpenedCase } from './case';
import {
  careFor,
  ruleOnCare,
  thingOfCheck,
  thingOfCounter,
  thingOfDrill,
  thingOfStage,
  type CareRuling,
  type Thing,
} from './gatekeeper';
import type { Key, Refusal } from './refusal';
import { listNext } from './stand';
import { judge, type Verdict } from './verdict';

/** What to do differently where something is open with care. */
export interface CareLine {
  readonly drill?: DrillKey;
  readonly after?: LadderId;
  readonly words: readonly string[];
}

/** The stages that tonight is about for somebody: where they work and what comes next. */
function stagesOfTonight(person: OpenedCase, families: readonly LadderId[]): StageKey[] {
  const keys = families.flatMap((family) => [
    person.present[family],
    ...listNext(person, family).slice(0, 1),
  ]);
  return [...new Set(keys.flatMap((key) => (key === undefined ? [] : [key])))];
}

/** Stages of the evening that care or a step back keeps from somebody. */
export function listRefused(person: OpenedCase, families: readonly LadderId[]): Refusal[] {
  return stagesOfTonight(person, families).flatMap((stage): Refusal[] => {
    if (!person.school.stages.has(stage)) return [];
    const verdict = judge(stage, person);
    if (verdict.kind !== 'stop' && verdict.kind !== 'step-back') return [];
    const { spec } = getStageIn(person.school, stage);
    return [{ stage, what: spec.label, ...findKey(person, stage, verdict) }];
  });
}

function findKey(
  person: OpenedCase,
  stage: StageKey,
  verdict: Verdict,
): Pick<Refusal, 'opensWith' | 'then'> {
  if (verdict.kind === 'step-back') {
    const { family } = getStageIn(person.school, stage).spec;
    const at = person.present[family];
    const label = at === undefined ? undefined : person.school.stages.get(at)?.spec.label;
    const whose = label === undefined ? 'its checks' : `the checks of ${inSentence(label)}`;
    return { opensWith: { seen: whose }, then: [] };
  }
  const thing = thingOfStage(person, stage, getStageIn(person.school, stage).spec);
  const opensWith = findCareKey(person, thing);
  const isOpened = opensWith.word !== undefined || opensWith.gone !== undefined;
  return { opensWith, then: isOpened ? judge(stage, unlocked(person, thing)).helpMost : [] };
}

/** As if a clinician had given their word on all that it asks, and what hurt were noted as gone. */
function unlocked(person: OpenedCase, thing: Thing): OpenedCase {
  return { ...withWord(person, thing.columns), pains: [] };
}

function withWord(person: OpenedCase, covers: readonly CautionColumn[]): OpenedCase {
  const { care, asOf } = person;
  const about = [...care.reports, 'stop-sign' as const];
  const clearances = about.map((one): Clearance => ({
    about: one,
    covers,
    notedOn: asOf,
    until: asOf,
  }));
  return { ...person, care: { ...care, clearances: [...care.clearances, ...clearances] } };
}

/** The least that opens it: the note that pain is gone, a clinician's word, both, or neither. */
function findCareKey(person: OpenedCase, thing: Thing): Key {
  const isOpen = (one: OpenedCase) => ruleOnCare(one, thing).isOpen;
  if (isOpen({ ...person, pains: [] })) return { gone: true };
  if (isOpen(withWord(person, thing.columns))) return { word: thing.columns };
  const both = unlocked(person, thing);
  if (isOpen(both)) return { word: thing.columns, gone: true };
  return ruleOnCare(both, thing).caution.outcome === 'closed-today'
    ? { later: true }
    : { practised: true };
}

/** Drills and counterposes that somebody does with care, and how. */
export function listCares(person: OpenedCase, families: readonly LadderId[]): CareLine[] {
  const drills = entriesOf(person.school.catalog.drills).map(([drill, spec]): CareLine => ({
    drill,
    words: careFor(person, thingOfDrill(person, spec)).watch,
  }));
  const after = families.map((family): CareLine => ({
    after: family,
    words: careFor(person, thingOfCounter(family)).watch,
  }));
  return [...drills, ...after].filter(({ words }) => words.length > 0);
}

/** What is closed by one cause. */
export interface Closed {
  readonly why: string;
  readonly what: readonly string[];
}

function whyClosed(person: OpenedCase, ruling: CareRuling): string | null {
  if (ruling.isOpen) return null;
  switch (ruling.cause) {
    case 'sign':
      return `a stop sign on ${person.sign?.date ?? 'an earlier day'}, not answered since`;
    case 'pain':
      return `pain on ${ruling.pain?.date ?? 'an earlier day'}, not noted as gone`;
    case 'care': {
      const { because } = ruling.caution;
      const labels = because.map((id) => cautionTable[id].label.toLowerCase());
      return labels.length === 0 ? 'kinder otherwise, by what was reported' : labels.join(', ');
    }
  }
}

/**
 * Everything that care keeps from somebody today, by its cause: stages of their ladders, drills and
 * checks. For their own page alone: it names what was reported.
 */
export function listClosed(person: OpenedCase): Closed[] {
  const { school } = person;
  const stages = stagesOfTonight(person, ladderIds).flatMap((stage) => {
    if (!school.stages.has(stage)) return [];
    const { spec } = getStageIn(school, stage);
    return [{ what: spec.label, thing: thingOfStage(person, stage, spec) }];
  });
  const drills = Object.values(school.catalog.drills).map((drill) => ({
    what: drill.label,
    thing: thingOfDrill(person, drill),
  }));
  const checks = [...school.checks].flatMap(([check, { spec }]) => {
    const thing = thingOfCheck(person, check, undefined);
    return thing === null ? [] : [{ what: spec.label, thing }];
  });
  const groups = new Map<string, Set<string>>();
  for (const { what, thing } of [...stages, ...drills, ...checks]) {
    const why = whyClosed(person, ruleOnCare(person, thing));
    if (why === null) continue;
    const group = groups.get(why) ?? new Set();
    groups.set(why, group.add(what));
  }
  return [...groups].map(([why, what]) => ({ why, what: [...what] }));
}
