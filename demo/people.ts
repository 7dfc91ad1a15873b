/**
 * The people of the demo course, all invented. What each can do is a true level per check, from
 * which the generator draws noisy weekly records.
 */
import type { LengthId } from '@/core/body/lengths';
import type { CautionId } from '@/core/catalog/cautions';
import type { FaultId } from '@/core/catalog/checks';
import type { StageId } from '@/core/catalog/stages';
import type { Consent } from '@/core/ladder/verdict';

export interface DemoPerson {
  readonly name: string;
  readonly heightM: number;
  readonly heightTyped: string;
  readonly massKg?: number;
  readonly lengths?: Readonly<Partial<Record<LengthId, number>>>;
  readonly consent: Consent;
  readonly cautions?: readonly CautionId[];
  readonly presentStage: StageId;
  /** Ability now, as a share of the prop-led bars; grows towards it over the weeks. */
  readonly ability: number;
  /** One side against the other, in one-leg dolphin. */
  readonly rightShare?: number;
  readonly confidence: number;
  /** Weeks ago of the last meeting attended; 1 is last week. */
  readonly lastSeen?: number;
  /** A fault this person tends to, and how often. */
  readonly habit?: { readonly fault: FaultId; readonly chance: number };
  readonly missesMeeting?: number;
  /** Pain noted at the last meeting attended. */
  readonly hasPain?: boolean;
  /** What the story of this person shows; for whoever reads the demo. */
  readonly story: string;
}

export const demoPeople: readonly DemoPerson[] = [
  {
    name: 'Anselm Rook',
    heightM: 1.91,
    heightTyped: '191',
    massKg: 82,
    lengths: { shoulderJointWidth: 0.41, sittingLegReach: 1.04 },
    consent: 'yes',
    presentStage: 'FS10',
    ability: 1.6,
    confidence: 7,
    story: 'tall, broad and steady: the gate is open',
  },
  {
    name: 'Bettina Quill',
    heightM: 1.52,
    heightTyped: '152',
    massKg: 49,
    consent: 'ask',
    presentStage: 'FS9',
    ability: 1.45,
    confidence: 6,
    story: 'short and strong; ready',
  },
  {
    name: 'Corin Vale',
    heightM: 1.75,
    heightTyped: '175',
    massKg: 104,
    consent: 'yes',
    presentStage: 'FS6',
    ability: 1.15,
    confidence: 6,
    story: 'bigger-bodied, close to the bar: help opens it',
  },
  {
    name: 'Dorit Amsel',
    heightM: 1.68,
    heightTyped: '168',
    massKg: 60,
    lengths: { shoulderToCrown: 0.35, upperArm: 0.295 },
    consent: 'yes',
    presentStage: 'FS8',
    ability: 1.5,
    confidence: 6,
    story: 'long neck, short upper arms: no clearance without a lift',
  },
  {
    name: 'Emeric Toll',
    heightM: 1.83,
    heightTyped: '183',
    massKg: 77,
    consent: 'no',
    presentStage: 'FS3',
    ability: 0.7,
    confidence: 5,
    cautions: ['wrist'],
    story: 'stiff, sore wrists: at home on the forearms, building the dolphin',
  },
  {
    name: 'Fenja Marsh',
    heightM: 1.63,
    heightTyped: '163',
    massKg: 57,
    consent: 'yes',
    presentStage: 'FS8',
    ability: 1.55,
    confidence: 2,
    story: 'strong enough by far, and afraid',
  },
  {
    name: 'Gideon Sarr',
    heightM: 1.78,
    heightTyped: '178',
    massKg: 74,
    consent: 'ask',
    cautions: ['eye'],
    presentStage: 'FS1',
    ability: 0.8,
    confidence: 6,
    story: 'an eye condition closes every head-down shape until a doctor has spoken',
  },
  {
    name: 'Halina Brook',
    heightM: 1.7,
    heightTyped: "5'7",
    massKg: 66,
    consent: 'ask',
    presentStage: 'FS7',
    ability: 1.35,
    rightShare: 0.55,
    confidence: 5,
    story: 'one side much weaker',
  },
  {
    name: 'Idris Falk',
    heightM: 1.8,
    heightTyped: '180',
    massKg: 70,
    consent: 'yes',
    presentStage: 'FS5',
    ability: 1.3,
    confidence: 9,
    habit: { fault: 'elbows-slide', chance: 0.85 },
    story: 'hurries: long holds with sliding elbows that do not count',
  },
  {
    name: 'Jorun Pike',
    heightM: 1.66,
    heightTyped: '166',
    massKg: 62,
    consent: 'yes',
    presentStage: 'FS8',
    ability: 1.5,
    confidence: 6,
    lastSeen: 5,
    story: 'long absent: the records are too old to lean on',
  },
  {
    name: 'Kestrel Odum',
    heightM: 1.72,
    heightTyped: '172',
    massKg: 68,
    consent: 'yes',
    presentStage: 'FS8',
    ability: 1.3,
    confidence: 6,
    hasPain: true,
    story: 'a sore shoulder last Thursday, not yet noted as gone',
  },
  {
    name: 'Liesel Thorne',
    heightM: 1.59,
    heightTyped: '159',
    massKg: 71,
    consent: 'ask',
    cautions: ['pregnancy'],
    presentStage: 'FS5',
    ability: 1.1,
    confidence: 7,
    story: 'practises gently; inversions wait for the midwife’s word',
  },
  {
    name: 'Matteo Wren',
    heightM: 1.86,
    heightTyped: '186',
    massKg: 95,
    lengths: { forearm: 0.29 },
    consent: 'yes',
    cautions: ['low-back'],
    presentStage: 'FS8',
    ability: 0.55,
    confidence: 6,
    story: 'slipped back after a busy month; the present stage is no longer held',
  },
  {
    name: 'Nilufar Dane',
    heightM: 1.64,
    heightTyped: '164',
    massKg: 55,
    consent: 'yes',
    presentStage: 'FS3',
    ability: 0.55,
    confidence: 4,
    missesMeeting: 3,
    story: 'new and unhurried, still on the block',
  },
];
