/**
 * The people of the demo course, all invented. What each can do is a true level per check, from
 * which the generator draws noisy weekly records.
 */
import type { LengthId } from '@/core/body/lengths';
import type { CautionId } from '@/core/catalog/cautions';
import type { FaultId } from '@/core/catalog/checks';
import type { StageId } from '@/core/catalog/stages';
import type { Clearance } from '@/core/caution/care';
import type { LadderId } from '@/core/catalog/stage';
import type { PainPlace, StopSign } from '@/core/catalog/regions';
import type { Consent } from '@/core/ladder/case';

export interface DemoPerson {
  readonly name: string;
  readonly heightM: number;
  readonly heightTyped: string;
  readonly massKg?: number;
  readonly lengths?: Readonly<Partial<Record<LengthId, number>>>;
  readonly consent: Consent;
  readonly cautions?: readonly CautionId[];
  /** The rung of the forearm ladder. */
  readonly presentStage: StageId;
  /** Rungs of other ladders this person has begun. */
  readonly rungs?: Readonly<Partial<Record<LadderId, StageId>>>;
  /** Reports in no list. */
  readonly otherWords?: readonly string[];
  /** Clinicians' words, days counted from the last meeting. */
  readonly clearances?: readonly (Pick<Clearance, 'about' | 'covers'> & {
    readonly notedAgo: number;
    readonly goodFor: number;
  })[];
  readonly signs?: readonly { readonly sign: StopSign; readonly ago: number }[];
  /** Days since the screening was asked; absent: never. */
  readonly screenedAgo?: number;
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
  readonly painPlace?: PainPlace;
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
    screenedAgo: 40,
    rungs: { handstand: 'HB11', 'arm-balance': 'CR6', headstand: 'HS6' },
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
    screenedAgo: 40,
    rungs: { handstand: 'HB8', 'shoulder-stand': 'SS7' },
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
    screenedAgo: 40,
    cautions: ['pressure-controlled'],
    rungs: { handstand: 'HB6b', 'shoulder-stand': 'SS3' },
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
    screenedAgo: 200,
    rungs: { headstand: 'HS4', 'arm-balance': 'CR4' },
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
    screenedAgo: 12,
    rungs: { 'shoulder-stand': 'SS5' },
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
    screenedAgo: 40,
    rungs: { handstand: 'HB7', 'arm-balance': 'CR5' },
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
    screenedAgo: 5,
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
    screenedAgo: 40,
    rungs: { handstand: 'HB8', 'shoulder-stand': 'SS6' },
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
    screenedAgo: 40,
    cautions: ['very-mobile'],
    rungs: { handstand: 'HB10', 'arm-balance': 'CR5' },
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
    screenedAgo: 210,
    cautions: ['reflux'],
    rungs: { 'shoulder-stand': 'SS7' },
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
    screenedAgo: 40,
    painPlace: 'shoulder',
    rungs: { 'shoulder-stand': 'SS3' },
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
    screenedAgo: 12,
    rungs: { 'shoulder-stand': 'SS3' },
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
    screenedAgo: 40,
    rungs: { 'arm-balance': 'CR4' },
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

/** The Saturday people: most of what a screening can turn up, each with an honest way in. */
export const saturdayPeople: readonly DemoPerson[] = [
  {
    name: 'Oriel Staff',
    heightM: 1.69,
    heightTyped: '169',
    massKg: 72,
    consent: 'ask',
    cautions: ['heart', 'arm-signs'],
    presentStage: 'FS1',
    ability: 0.6,
    confidence: 5,
    screenedAgo: 20,
    story: 'waits for the doctor; shapes on the floor until then',
  },
  {
    name: 'Petra Lune',
    heightM: 1.61,
    heightTyped: '161',
    massKg: 54,
    consent: 'yes',
    cautions: ['osteoporosis', 'neck-instability'],
    clearances: [
      { about: 'osteoporosis', covers: ['light'], notedAgo: 30, goodFor: 180 },
      { about: 'neck-instability', covers: ['light'], notedAgo: 30, goodFor: 180 },
    ],
    presentStage: 'FS7',
    ability: 1.5,
    confidence: 7,
    screenedAgo: 30,
    story: 'a clinician has spoken for light inversions and for nothing else',
  },
  {
    name: 'Quentin Ash',
    heightM: 1.77,
    heightTyped: '177',
    massKg: 80,
    consent: 'yes',
    cautions: ['blood-thinners', 'neck-disc'],
    presentStage: 'FS10',
    ability: 1.6,
    confidence: 7,
    screenedAgo: 60,
    story: 'strong at the wall; the free floor stays closed',
  },
  {
    name: 'Rosalind Fenn',
    heightM: 1.65,
    heightTyped: '165',
    consent: 'ask',
    cautions: ['ear-or-sinus'],
    otherWords: ['noise in one ear on some mornings'],
    presentStage: 'FS6',
    ability: 1.1,
    confidence: 6,
    screenedAgo: 3,
    story: 'an ear infection this week: closed today, ask again',
  },
  {
    name: 'Sunniva Holt',
    heightM: 1.73,
    heightTyped: '173',
    consent: 'yes',
    cautions: ['headache'],
    signs: [{ sign: 'ringing', ago: 14 }],
    clearances: [{ about: 'stop-sign', covers: ['mild', 'light'], notedAgo: 6, goodFor: 180 }],
    presentStage: 'FS5',
    ability: 1,
    confidence: 6,
    screenedAgo: 6,
    story: 'a stop sign answered by a doctor’s word; a headache today',
  },
  {
    name: 'Tobias Reed',
    heightM: 1.84,
    heightTyped: '184',
    massKg: 88,
    consent: 'no',
    cautions: ['recent-event'],
    signs: [{ sign: 'seeing-stars', ago: 21 }],
    presentStage: 'FS3',
    ability: 0.9,
    confidence: 8,
    screenedAgo: 21,
    story: 'a concussion: closed until cleared, and a sign nobody has answered yet',
  },
  {
    name: 'Ulla Marten',
    heightM: 1.58,
    heightTyped: '158',
    consent: 'ask',
    cautions: ['dizziness', 'shoulder'],
    presentStage: 'FS2',
    ability: 0.7,
    confidence: 4,
    screenedAgo: 15,
    story: 'a new medicine makes her dizzy; inversions wait',
  },
  {
    name: 'Viggo Lark',
    heightM: 1.48,
    heightTyped: '148',
    massKg: 41,
    consent: 'ask',
    cautions: ['under-16'],
    presentStage: 'FS8',
    ability: 1.4,
    confidence: 9,
    screenedAgo: 50,
    rungs: { headstand: 'HS3' },
    story: 'fourteen and fearless: supervised, and no weight on the neck',
  },
];

/** Thursday people who also come on Saturdays. */
export const alsoSaturday: readonly string[] = [
  'Corin Vale',
  'Emeric Toll',
  'Liesel Thorne',
  'Bettina Quill',
];
