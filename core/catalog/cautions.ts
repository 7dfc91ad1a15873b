/**
 * What a person reports, and what it closes. Source: handbook 07 "Screening".
 * The table restricts and refers; nothing in it ever gives clearance.
 */
import type { CautionColumn } from './cautionColumns';

/** From freest to strictest; several cautions combine to the strictest. */
export const cautionOutcomes = ['open', 'care', 'refer', 'closed-today', 'closed'] as const;
export type CautionOutcome = (typeof cautionOutcomes)[number];

export interface CautionCell {
  readonly outcome: CautionOutcome;
  /** What to do differently, for `care`. */
  readonly adaptation?: string;
  /** Stricter for some stages of the column than for the rest. */
  readonly strictFor?: {
    /** `free`: away from every support; `new`: beyond the student's present stage. */
    readonly which: 'free' | 'new';
    readonly outcome: CautionOutcome;
  };
  /** A clinician's word opens only what was practised before. */
  readonly onlyPractised?: true;
}

export interface CautionSpec {
  readonly label: string;
  readonly columns: Readonly<Record<CautionColumn, CautionCell>>;
}

const open: CautionCell = { outcome: 'open' };
const refer: CautionCell = { outcome: 'refer' };
const today: CautionCell = { outcome: 'closed-today' };
const closed: CautionCell = { outcome: 'closed' };
const care = (adaptation: string, more: Partial<CautionCell> = {}): CautionCell => ({
  outcome: 'care',
  adaptation,
  ...more,
});

/** Cells in the order of the columns. */
const row = (
  label: string,
  mild: CautionCell,
  light: CautionCell,
  neck: CautionCell,
  wrists: CautionCell,
  effort: CautionCell,
  shoulders: CautionCell,
  reach: CautionCell,
): CautionSpec => ({
  label,
  columns: { mild, light, neck, wrists, effort, shoulders, reach },
});

const shortAndSlow = 'short holds, up slowly, no held breath';
const headFree = 'neck long and quiet, no weight on the head';
const breathing = care('breath never held');
const afterMeals = care('not after meals');
const easyRange = care('stay inside the easy range');

export const cautionTable = {
  eye: row(
    'Glaucoma, retinal trouble or recent eye surgery',
    refer,
    refer,
    closed,
    open,
    breathing,
    refer,
    open,
  ),
  heart: row(
    'High blood pressure not under control, heart disease or past stroke',
    refer,
    refer,
    closed,
    care('short holds, no held breath'),
    refer,
    refer,
    open,
  ),
  'neck-disc': row(
    'Neck disc or injury, no arm signs',
    care(headFree),
    care(headFree),
    closed,
    care('gaze down, neck long'),
    care('head stays down or in the hands'),
    closed,
    care('arms only as far as the neck stays long'),
  ),
  'arm-signs': row(
    'Arm tingling, numbness or weakness',
    refer,
    refer,
    closed,
    refer,
    refer,
    closed,
    refer,
  ),
  'neck-instability': row(
    'Rheumatoid or other known neck instability',
    care(headFree),
    refer,
    closed,
    care('gaze down, neck long'),
    care('head stays down'),
    closed,
    care('arms only as far as the neck stays long'),
  ),
  'pressure-controlled': row(
    'High blood pressure, controlled',
    care(shortAndSlow),
    care(shortAndSlow),
    refer,
    open,
    breathing,
    care(shortAndSlow),
    open,
  ),
  'blood-thinners': row(
    'Blood thinners',
    care('soft surroundings'),
    care('at the wall only, no free attempts', { strictFor: { which: 'free', outcome: 'refer' } }),
    refer,
    care('cushion where the head would land'),
    open,
    care('soft surroundings'),
    open,
  ),
  pregnancy: row(
    'Pregnancy',
    care('what is long familiar, nothing new', { strictFor: { which: 'new', outcome: 'refer' } }),
    refer,
    { outcome: 'closed', onlyPractised: true },
    care('no jumping in or out'),
    refer,
    refer,
    care('stop short of the end'),
  ),
  osteoporosis: row(
    'Osteoporosis',
    care('long back, no rounding under load'),
    refer,
    closed,
    care('no falling: feet leave one at a time'),
    closed,
    closed,
    care('slow and small'),
  ),
  'ear-or-sinus': row(
    'Vertigo, inner ear, sinus or ear infection now',
    care('up slowly, a wall within reach'),
    today,
    today,
    open,
    care('head moves slowly'),
    today,
    open,
  ),
  reflux: row(
    'Reflux or hiatus hernia',
    afterMeals,
    afterMeals,
    afterMeals,
    open,
    afterMeals,
    afterMeals,
    open,
  ),
  headache: row('Migraine or severe headache now', today, today, today, open, today, today, open),
  shoulder: row(
    'Shoulder dislocation, surgery or impingement',
    easyRange,
    easyRange,
    easyRange,
    care('hands a little wider, no deep bend'),
    open,
    refer,
    refer,
  ),
  wrist: row(
    'Wrist pain or carpal tunnel',
    open,
    care('forearm versions'),
    open,
    closed,
    open,
    care('hips on a bolster instead of the hands'),
    open,
  ),
  'low-back': row(
    'Low back pain',
    care('bend the knees'),
    care('no arching'),
    care('legs lifted bent'),
    open,
    care('one foot stays down, stop before the back lifts'),
    care('no arching'),
    open,
  ),
  'very-mobile': row(
    'Very mobile joints',
    care('do not hang in the end range'),
    care('do not hang in the end range'),
    care('do not hang in the end range'),
    care('soft elbows'),
    care('slow and small'),
    care('do not hang in the end range'),
    care('stop short of the end'),
  ),
  'recent-event': row(
    'Recent concussion or surgery, or uncontrolled seizures',
    closed,
    closed,
    closed,
    refer,
    closed,
    closed,
    care('slow and small'),
  ),
  dizziness: row(
    'Medication or illness with dizziness',
    refer,
    today,
    today,
    open,
    care('up slowly, a wall within reach'),
    today,
    open,
  ),
  'under-16': row(
    'Under 16',
    open,
    care('supervised'),
    closed,
    open,
    open,
    care('supervised'),
    open,
  ),
} as const satisfies Record<string, CautionSpec>;

export type CautionId = keyof typeof cautionTable;
export const cautionIds = Object.keys(cautionTable) as [CautionId, ...CautionId[]];

/** What a typed word that is not in the table says; it never opens anything. */
export const unknownWordNote = 'not in our list: ask, and refer if unsure';

/** Screening is renewed after so many days (handbook 07: six months by default). */
export const screeningDays = 182;
