/**
 * Watched from outside: what handbook 06, 07 and 12 close, typed from there a second time and read
 * by code of its own. It shares nothing with the gatekeeper or with what goes through it, so that a
 * mistake would have to be made twice. Keep it that way: no import of anything that judges.
 */
import type { CautionColumn } from '../catalog/cautionColumns';
import type { CautionId } from '../catalog/cautions';
import type { PainPlace } from '../catalog/regions';
import type { Care } from '../caution/care';
import type { Day } from '../units/day';

const order = ['mild', 'light', 'neck', 'wrists', 'effort', 'shoulders', 'reach'] as const;

/** 07, row by row: o open, c care, r refer first, t closed today, x closed until cleared. */
const rows: Readonly<Record<CautionId, string>> = {
  eye: 'rrxocro',
  heart: 'rrxcrro',
  'neck-disc': 'ccxccxc',
  'arm-signs': 'rrxrrxr',
  'neck-instability': 'crxccxc',
  'pressure-controlled': 'ccrocco',
  'blood-thinners': 'ccrcoco',
  pregnancy: 'crxcrrc',
  osteoporosis: 'crxcxxc',
  'ear-or-sinus': 'cttocto',
  reflux: 'cccocco',
  headache: 'tttotto',
  shoulder: 'ccccorr',
  wrist: 'ocoxoco',
  'low-back': 'cccocco',
  'very-mobile': 'ccccccc',
  'recent-event': 'xxxrxxc',
  dizziness: 'rttocto',
  'under-16': 'ocxooco',
};

/** 12, the column of each stage: M L N W E S. */
const stageLetters: Readonly<Record<string, string>> = {
  ...all('M', 'FS1 FS2 FS3 FS4 FS5 FS6 FS7 HS1 HS2 HS3 SS2 SS3'),
  ...all('L', 'FS8 FS9 FS10 FS11 FS12 FS13 FS14 HS-a HS-b'),
  ...all('N', 'HS4 HS5 HS6 HS7 HS8 SS6 SS7 SS8 SS9 SS10'),
  ...all('W', 'HB1 HB3 HB4 CR1 CR2 CR3 CR4'),
  ...all('E', 'HB5 SS1'),
  ...all('MW', 'HB2 HB6 CR5 CR6 CR7 CR8'),
  ...all('LW', 'HB6b HB7 HB8 HB9 HB10 HB11 HB13 HB14 HB15'),
  ...all('LSW', 'HB12 SS5'),
  ...all('LS', 'SS4'),
  ...all('WLE', 'CR9'),
};

/** 07 "Columns follow from the shape", for what a drill is made of. */
const drillLetters: Readonly<Record<string, string>> = {
  ...all('W', 'wrist-lifts blade-circles'),
  ...all('R', 'strap-passes arm-wraps block-behind-head'),
  ...all('MR', 'chest-melt-blocks elbows-on-chair prayer-chest-sink kneeling-melt'),
  ...all('M', 'corner-dolphin cool-down leg-lengtheners childs-pose'),
  ...all('E', 'curl-and-peel hollow boat'),
  ...all('N', 'crown-roll'),
  ...all('MW', 'mini-hops sphinx-to-seal side-plank'),
  ...all('WE', 'knee-to-elbow'),
  ...all('ME', 'forearm-slide'),
  ...all('MWE', 'sliding-salute'),
  ...all('', 'outward-forearm'),
};

/** The shape a hold at home is in. */
const holdLetters: Readonly<Record<string, string>> = {
  ...all('M', 'forearm-plank-hold dolphin-hold dolphin-push-ups dolphin-one-leg'),
  ...all('W', 'plank-hold'),
  ...all('E', 'hollow-hold'),
};

function all(letters: string, ids: string): Record<string, string> {
  return Object.fromEntries(ids.split(' ').map((id) => [id, letters]));
}

const columnOf: Readonly<Record<string, CautionColumn>> = {
  M: 'mild',
  L: 'light',
  N: 'neck',
  W: 'wrists',
  E: 'effort',
  S: 'shoulders',
  R: 'reach',
};

/** What 07 says pain in a place closes, named one by one where they are told by what they do. */
const hopsAndSquats =
  'FS9 FS10 FS11 FS12 FS13 FS14 HB10 HB11 HB12 HB13 HB14 HB15 CR4 CR5 CR6 CR7 CR8 CR9 mini-hops';
const painCloses: Readonly<Partial<Record<PainPlace, string>>> = {
  leg: `${hopsAndSquats} FS3 FS4 FS5 HB2`,
  hip: `${hopsAndSquats} FS7 HB9`,
  shoulder:
    'SS4 SS5 SS6 SS7 SS8 SS9 SS10 FS1 FS2 FS3 FS5 FS8 HB3 HB8 HS5 corner-dolphin forearm-slide strap-passes dolphin-hold plank-hold',
  wrist: 'HB1 HB2 HB3 HB8 CR1 CR6 wrist-lifts blade-circles plank-hold',
  neck: 'HS4 HS5 HS6 SS4 SS5 SS6 SS7 SS8 SS9 SS10 crown-roll',
  back: 'hollow boat FS2 SS9 HB5 hollow-hold',
};

/** Without a place, all of it but lying or sitting without load. */
const unloaded = new Set([
  'rest',
  'calves-on-chair',
  'propped-recline',
  'seated-breath',
  'HS-none',
]);

export interface Watched {
  readonly care: Care;
  readonly asOf: Day;
  readonly pains: readonly { readonly place: PainPlace | undefined; readonly date: Day }[];
}

export interface Told {
  /** A stage, a drill, a check of home practice, an alternative. */
  readonly id: string;
  readonly ladder?: string;
  /** Beyond what was practised. */
  readonly isNew?: boolean;
  readonly isFree?: boolean;
}

const lettersOf = ({ id }: Told): string | undefined =>
  stageLetters[id] ?? drillLetters[id] ?? holdLetters[id];

function hasNote(
  { care, asOf }: Watched,
  about: string,
  column: CautionColumn,
  ladder: string | undefined,
  since?: Day,
): boolean {
  for (const note of care.clearances) {
    if (note.about !== about || !note.covers.includes(column)) continue;
    if (note.ladders !== undefined && !note.ladders.some((one) => one === ladder)) continue;
    if (note.notedOn > asOf || note.until < asOf) continue;
    if (since !== undefined && note.notedOn < since) continue;
    return true;
  }
  return false;
}

/** Why something must not be told to somebody; `null`: nothing in the handbook says so. */
export function whyClosed(who: Watched, told: Told): string | null {
  const letters = lettersOf(told);
  if (letters !== undefined) {
    for (const letter of letters) {
      const column = columnOf[letter]!;
      for (const report of who.care.reports) {
        let word = rows[report][order.indexOf(column)];
        if (report === 'pregnancy' && column === 'mild' && told.isNew) word = 'r';
        if (report === 'blood-thinners' && column === 'light' && told.isFree) word = 'r';
        if (word === 't') return `${report}: closed today (${column})`;
        if (word !== 'r' && word !== 'x') continue;
        const isNever = report === 'pregnancy' && column === 'neck' && told.isNew;
        if (isNever || !hasNote(who, report, column, told.ladder)) return `${report}: ${column}`;
      }
      for (const { sign, date } of who.care.signs) {
        if (date > who.asOf) continue;
        const closes = 'MLNS'.includes(letter) || (letter === 'W' && sign === 'tingling');
        if (closes && !hasNote(who, 'stop-sign', column, told.ladder, date)) return `sign: ${sign}`;
      }
    }
  }
  const gone = who.care.painClearedOn;
  for (const { place, date } of who.pains) {
    if (gone !== undefined && gone > date && gone <= who.asOf) continue;
    if (place === undefined || place === 'elsewhere') {
      if (!unloaded.has(told.id) && letters !== undefined) return 'pain without a place';
    } else if (painCloses[place]?.split(' ').includes(told.id)) return `pain: ${place}`;
  }
  return null;
}
