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
}

export interface CautionSpec {
  readonly label: string;
  readonly columns: Readonly<Record<CautionColumn, CautionCell>>;
}

const open: CautionCell = { outcome: 'open' };
const refer: CautionCell = { outcome: 'refer' };
const today: CautionCell = { outcome: 'closed-today' };
const closed: CautionCell = { outcome: 'closed' };
const care = (adaptation?: string): CautionCell =>
  adaptation === undefined ? { outcome: 'care' } : { outcome: 'care', adaptation };

const row = (
  label: string,
  mild: CautionCell,
  light: CautionCell,
  neck: CautionCell,
  wrists: CautionCell,
): CautionSpec => ({ label, columns: { mild, light, neck, wrists } });

export const cautionTable = {
  eye: row('Glaucoma, retinal trouble or recent eye surgery', refer, refer, closed, open),
  heart: row(
    'High blood pressure not under control, heart disease or past stroke',
    refer,
    refer,
    closed,
    care(),
  ),
  'neck-disc': row('Neck disc or injury, no arm signs', care(), care(), closed, care()),
  'arm-signs': row('Arm tingling, numbness or weakness', refer, refer, closed, refer),
  'neck-instability': row(
    'Rheumatoid or other known neck instability',
    care(),
    refer,
    closed,
    care(),
  ),
  'pressure-controlled': row('High blood pressure, controlled', care(), care(), refer, open),
  'blood-thinners': row('Blood thinners', care(), care('no free attempts'), refer, care()),
  pregnancy: row('Pregnancy', care('nothing new'), refer, closed, care()),
  osteoporosis: row('Osteoporosis', care(), refer, closed, care()),
  'ear-or-sinus': row('Vertigo, inner ear, sinus or ear infection now', care(), today, today, open),
  reflux: row(
    'Reflux or hiatus hernia',
    care(),
    care('not after meals'),
    care('not after meals'),
    open,
  ),
  headache: row('Migraine or severe headache now', today, today, today, open),
  shoulder: row(
    'Shoulder dislocation, surgery or impingement',
    care(),
    care('stay inside the easy range'),
    care(),
    care(),
  ),
  wrist: row('Wrist pain or carpal tunnel', open, care('forearm versions'), open, closed),
  'low-back': row('Low back pain', care('bend the knees'), care('no arching'), care(), open),
  'very-mobile': row(
    'Very mobile joints',
    care('do not hang in the end range'),
    care(),
    care(),
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
