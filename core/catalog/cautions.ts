/**
 * What a person reports, and what it closes. Source: handbook 07 "Screening".
 * The table restricts and refers; nothing in it ever gives clearance.
 */
export type CautionColumn = 'mild' | 'light' | 'neck' | 'wrists';

export const cautionColumns = {
  mild: 'head below heart, mild',
  light: 'inversions with little or no neck load',
  neck: 'neck-loading shapes',
  wrists: 'weight on the wrists',
} as const satisfies Record<CautionColumn, string>;

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

const row = (
  label: string,
  mild: CautionCell,
  light: CautionCell,
  neck: CautionCell,
  wrists: CautionCell,
): CautionSpec => ({ label, columns: { mild, light, neck, wrists } });

const shortAndSlow = 'short holds, up slowly, no held breath';
const headFree = 'head hangs free, nothing rests on it';

export const cautionTable = {
  eye: row('Glaucoma, retinal trouble or recent eye surgery', refer, refer, closed, open),
  heart: row(
    'High blood pressure not under control, heart disease or past stroke',
    refer,
    refer,
    closed,
    care('short holds, no held breath'),
  ),
  'neck-disc': row(
    'Neck disc or injury, no arm signs',
    care(headFree),
    care(headFree),
    closed,
    care('gaze down, neck long'),
  ),
  'arm-signs': row('Arm tingling, numbness or weakness', refer, refer, closed, refer),
  'neck-instability': row(
    'Rheumatoid or other known neck instability',
    care(headFree),
    refer,
    closed,
    care('gaze down, neck long'),
  ),
  'pressure-controlled': row(
    'High blood pressure, controlled',
    care(shortAndSlow),
    care(shortAndSlow),
    refer,
    open,
  ),
  'blood-thinners': row(
    'Blood thinners',
    care('soft surroundings'),
    care('at the wall only, no free attempts', { strictFor: { which: 'free', outcome: 'refer' } }),
    refer,
    care('cushion where the head would land'),
  ),
  pregnancy: row(
    'Pregnancy',
    care('what is long familiar, nothing new', { strictFor: { which: 'new', outcome: 'refer' } }),
    refer,
    { outcome: 'closed', onlyPractised: true },
    care('no jumping in or out'),
  ),
  osteoporosis: row(
    'Osteoporosis',
    care('long back, no rounding under load'),
    refer,
    closed,
    care('no falling: feet leave one at a time'),
  ),
  'ear-or-sinus': row(
    'Vertigo, inner ear, sinus or ear infection now',
    care('up slowly, a wall within reach'),
    today,
    today,
    open,
  ),
  reflux: row(
    'Reflux or hiatus hernia',
    care('not after meals'),
    care('not after meals'),
    care('not after meals'),
    open,
  ),
  headache: row('Migraine or severe headache now', today, today, today, open),
  shoulder: row(
    'Shoulder dislocation, surgery or impingement',
    care('stay inside the easy range'),
    care('stay inside the easy range'),
    care('stay inside the easy range'),
    care('hands a little wider, no deep bend'),
  ),
  wrist: row('Wrist pain or carpal tunnel', open, care('forearm versions'), open, closed),
  'low-back': row(
    'Low back pain',
    care('bend the knees'),
    care('no arching'),
    care('legs lifted bent'),
    open,
  ),
  'very-mobile': row(
    'Very mobile joints',
    care('do not hang in the end range'),
    care('do not hang in the end range'),
    care('do not hang in the end range'),
    care('soft elbows'),
  ),
  'recent-event': row(
    'Recent concussion or surgery, or uncontrolled seizures',
    closed,
    closed,
    closed,
    refer,
  ),
  dizziness: row('Medication or illness with dizziness', refer, today, today, open),
  'under-16': row('Under 16', open, care('supervised'), closed, open),
} as const satisfies Record<string, CautionSpec>;

export type CautionId = keyof typeof cautionTable;
export const cautionIds = Object.keys(cautionTable) as [CautionId, ...CautionId[]];

/** The one line that stands on the first screen and on every printed card (handbook 07). */
export const cautionLine =
  'Levitar gives no medical advice and clears nobody: a doctor’s or physiotherapist’s word and the rules of the place come first.';

/** What a typed word that is not in the table says; it never opens anything. */
export const unknownWordNote = 'not in our list: ask, and refer if unsure';

/** Screening is renewed after so many days (handbook 07: six months by default). */
export const screeningDays = 182;
