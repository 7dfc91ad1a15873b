import { z } from 'zod';
import { forearmHandsIds } from '../body/hands';
import { sayBar, sayValue } from './sayCheck';
import { entriesOf } from '../units/keyed';
import { lineOf } from '../units/text';
import { inSentence } from '../units/words';
import { demandSchema, type Demand } from './demand';
import { choiceIn, choicesOf, eyeAspectIds, getAspect, type EyeAspectId } from './eye';
import { choicesIn, methodIds, methodTable } from './methods';
import { cuesOf, profileIds, profileTable, settingsOf, type ProfileSettings } from './profiles';
import { namedBranch, namedCheck, namedStage } from './namedKeys';
import type { Catalog, ProfileVersion } from './school';
import type { BranchKey } from './stage';
import { flatNeckDeg } from '../setups/flat';
import { wayUpIds } from './waysUp';

/** One field for every aspect, with its own choices. */
const eyeFields = {
  shoulderPlace: z.enum(choicesOf('shoulderPlace')).optional(),
  forearms: z.enum(choicesOf('forearms')).optional(),
  shoulderAction: z.enum(choicesOf('shoulderAction')).optional(),
  arms: z.enum(choicesOf('arms')).optional(),
  bodyLine: z.enum(choicesOf('bodyLine')).optional(),
  gaze: z.enum(choicesOf('gaze')).optional(),
  feet: z.enum(choicesOf('feet')).optional(),
} satisfies Record<EyeAspectId, z.ZodType>;

/** What a copy of a profile may set otherwise. */
export const profileChangesSchema = z.strictObject({
  bars: z.partialRecord(namedCheck, z.number().positive().max(3600)).optional(),
  settings: z
    .strictObject({
      forearmGapM: z.number().min(0).max(0.4).optional(),
      shoulderLiftM: z.number().min(0).max(0.08).optional(),
      bolsterLeadM: z.number().min(0).max(0.03).optional(),
      forearmHands: z.enum(forearmHandsIds).optional(),
      handLMethod: z.enum(['sitting', 'table', 'reach']).optional(),
      platformMethod: z.enum(['innerLeg', 'legReach', 'sitOnIt']).optional(),
      neckFlexionDeg: z.number().min(30).max(flatNeckDeg).optional(),
      wayUp: z.enum(wayUpIds).optional(),
      ...eyeFields,
    })
    .optional(),
  closedBranches: z.array(namedBranch).max(40).optional(),
  closedStages: z.array(namedStage).max(200).optional(),
  gates: z.partialRecord(namedStage, z.array(demandSchema).max(12)).optional(),
  cues: z.partialRecord(namedStage, z.string().overwrite(lineOf).max(140)).optional(),
});

/** A copy as a file, so that it can be handed on. */
export const profileFile = z.strictObject({
  format: z.literal('levitar-profile'),
  version: z.literal(1),
  label: z.string().overwrite(lineOf).min(1).max(60),
  origin: z.enum(profileIds),
  changes: profileChangesSchema,
});

const eyeLabels = Object.fromEntries(eyeAspectIds.map((id) => [id, getAspect(id).label])) as Record<
  EyeAspectId,
  string
>;

/** What each setting is called, wherever it is shown. */
export const settingWords: Record<keyof ProfileSettings, string> = {
  ...eyeLabels,
  forearmGapM: 'Fingertips to the wall, forearms',
  shoulderLiftM: 'Shoulder lift asked for',
  bolsterLeadM: 'Shoulders ahead at the bolster',
  forearmHands: methodTable.forearmHands.label,
  handLMethod: methodTable.handLMethod.label,
  platformMethod: methodTable.platformMethod.label,
  neckFlexionDeg: 'Neck bend over the platform',
  wayUp: methodTable.wayUp.label,
};

const shown = (key: keyof ProfileSettings, value: number | string) => {
  if (typeof value === 'string') {
    const aspect = eyeAspectIds.find((id) => id === key);
    if (aspect !== undefined) return choiceIn(aspect, value).label;
    const method = methodIds.find((id) => id === key);
    return (method === undefined ? undefined : choicesIn(method)[value]) ?? value;
  }
  return key === 'neckFlexionDeg' ? `${value}°` : `${Math.round(value * 1000) / 10} cm`;
};

export interface ChangeLine {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

/** What a copy changed against its origin, line by line, in the order of the catalog. */
export function describeChanges(profile: ProfileVersion, catalog: Catalog): ChangeLine[] {
  const origin = profileTable[profile.origin];
  const usual = settingsOf(origin);
  const {
    bars = {},
    settings = {},
    closedBranches,
    closedStages,
    gates = {},
    cues = {},
  } = profile.changes;
  const lines: ChangeLine[] = [];
  for (const [check, bar] of entriesOf(bars)) {
    const spec = catalog.checks[check];
    const before = spec?.opensAt[profile.origin];
    if (before === bar) continue;
    lines.push({
      what: spec?.label ?? check,
      before: spec === undefined || before === undefined ? 'unknown' : sayBar(spec, before, 'cm'),
      after: spec === undefined ? String(bar) : sayBar(spec, bar, 'cm'),
    });
  }
  for (const [name, value] of Object.entries(settings)) {
    const id = name as keyof ProfileSettings;
    if (value === undefined || usual[id] === value) continue;
    lines.push({ what: settingWords[id], before: shown(id, usual[id]), after: shown(id, value) });
  }
  if (closedBranches) {
    const was: readonly BranchKey[] = origin.closedBranches;
    for (const [branch, { label }] of entriesOf(catalog.branches)) {
      const [before, after] = [was.includes(branch), closedBranches.includes(branch)];
      if (before !== after) {
        lines.push({
          what: label,
          before: before ? 'closed' : 'open',
          after: after ? 'closed' : 'open',
        });
      }
    }
  }
  for (const stage of closedStages ?? []) {
    lines.push({ what: catalog.stages[stage]?.label ?? stage, before: 'open', after: 'closed' });
  }
  for (const [stage, gate] of entriesOf(gates)) {
    const spec = catalog.stages[stage];
    const before = spec?.gateByProfile?.[profile.origin]?.gate ?? spec?.gate ?? [];
    lines.push({
      what: `Gate of ${spec?.label ?? stage}`,
      before: describeGate(before, catalog),
      after: describeGate(gate, catalog),
    });
  }
  for (const [stage, cue] of entriesOf(cues)) {
    const before = cuesOf(profile.origin)[stage] ?? 'no cue';
    if (before !== cue) {
      lines.push({ what: `Cue at ${catalog.stages[stage]?.label ?? stage}`, before, after: cue });
    }
  }
  return lines;
}

export function describeGate(gate: readonly Demand[], catalog: Catalog): string {
  if (gate.length === 0) return 'nothing';
  return gate.map((demand) => describeDemand(demand, catalog)).join('; ');
}

const times: Readonly<Record<string, string>> = {
  '0.5': 'half ',
  '2': 'twice ',
  '3': 'three times ',
};

/** A demand in words, as a teacher would say it. */
export function describeDemand(demand: Demand, catalog: Catalog): string {
  if ('check' in demand) {
    const { check, base, share, value, below, onDays } = demand;
    const spec = catalog.checks[check];
    const label = inSentence(spec?.label ?? check);
    const say = (asked: number) =>
      spec === undefined ? String(asked) : sayValue(spec, asked, 'cm');
    const part =
      share === undefined || share === 1
        ? ''
        : (times[String(share)] ?? `${Math.round(share * 100)} % of the bar of `);
    return [
      `${part}${label}`,
      base === undefined ? '' : `(${base})`,
      value === undefined ? '' : `at ${say(value)}`,
      below === undefined ? '' : `${say(below)} under its bar`,
      onDays === undefined ? '' : `on ${onDays} days`,
    ]
      .filter((words) => words !== '')
      .join(' ');
  }
  if ('with' in demand) return demand.with.replace('-', ' ');
  if ('assist' in demand) return 'a helper’s hands';
  if ('practised' in demand) {
    return `${inSentence(catalog.stages[demand.practised]?.label ?? demand.practised)}, practised`;
  }
  if ('opens' in demand) {
    return `the gate of ${inSentence(catalog.stages[demand.opens]?.label ?? demand.opens)}`;
  }
  if ('anyOf' in demand)
    return demand.anyOf.map((inner) => describeDemand(inner, catalog)).join(' or ');
  return demand.allOf.map((inner) => describeDemand(inner, catalog)).join(' with ');
}
