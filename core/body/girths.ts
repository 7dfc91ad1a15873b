/**
 * How much there is round the middle and the thighs, where somebody measured it, and the room that
 * asks for. Handbook 02 names what to do (wider hands and feet, feet on a chair); how much follows
 * from round numbers of our own (docs/decisions/0014). Whoever was not measured is taken as usual.
 */
import { degrees } from '../posture/geometry';
import type { Body } from './body';

export interface GirthSpec {
  /** Share of standing height that is usual among adults. */
  readonly usual: number;
  readonly label: string;
  /** How to take it with a tape, in one line. */
  readonly howTo: string;
}

export const girthTable = {
  chestGirth: {
    usual: 0.54,
    label: 'Chest, all round under the armpits',
    howTo: 'Arms hanging, breathing out easily; the tape level, right under the armpits.',
  },
  bellyGirth: {
    usual: 0.5,
    label: 'Belly, all round at its fullest',
    howTo: 'Standing, breathing out easily; the tape level, round the fullest place.',
  },
  thighGirth: {
    usual: 0.33,
    label: 'Thigh, all round under the seat',
    howTo: 'Standing, weight on the other leg; the tape level, round the fullest place.',
  },
} as const satisfies Record<string, GirthSpec>;

export type GirthId = keyof typeof girthTable;
export const girthIds = Object.keys(girthTable) as [GirthId, ...GirthId[]];
/** Metres, only what was measured. */
export type Girths = Readonly<Partial<Record<GirthId, number>>>;

/** A typed girth outside this share of the usual one is refused. */
const plausibleGirth = { low: 0.55, high: 2.4 } as const;

/** What is wrong with a girth somebody typed, as a sentence; nothing when it is plausible. */
export function findGirthProblem(id: GirthId, metres: number, heightM: number): string | null {
  const usual = girthTable[id].usual * heightM;
  const [low, high] = [usual * plausibleGirth.low, usual * plausibleGirth.high];
  if (metres >= low && metres <= high) return null;
  return `${girthTable[id].label}: ${Math.round(metres * 100)} cm does not fit a height of ${Math.round(heightM * 100)} cm; expected ${Math.ceil(low * 100)} to ${Math.floor(high * 100)} cm.`;
}

/** Trunks are wider than deep: depth as a share of width. */
const trunkFlatness = 0.72;
/** Circumference of an ellipse that flat, over its width (Ramanujan). */
const roundPerWidth = (() => {
  const [a, b] = [0.5, trunkFlatness / 2];
  return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
})();

/** Across, from a girth; metres. */
const acrossM = (girthM: number) => girthM / roundPerWidth;
/** From front to back. */
const deepM = (girthM: number) => acrossM(girthM) * trunkFlatness;

const rules = {
  /** A usual body folds as deep as the deepest shape here asks, a crow; flesh pressed together. */
  usualFoldDeg: 20,
  /** The fullest place of the belly lies this share of height from the hip joint along the trunk. */
  bellyUp: 0.12,
  /** Of the depth, this much lies before the hip joint, and this much is left when pressed. */
  beforeHip: 0.55,
  pressed: 0.7,
  /** Nobody's hands, elbows or feet go further out than this for room, metres. */
  mostWiderM: 0.06,
} as const;

/** Angle between trunk and thigh at which belly and thigh meet, by plain geometry; degrees. */
function meetingDeg(heightM: number, bellyM: number, thighM: number): number {
  const before = deepM(bellyM) * rules.beforeHip * rules.pressed;
  const up = rules.bellyUp * heightM;
  const thighHalf = (thighM / Math.PI / 2) * rules.pressed;
  const reach = Math.hypot(up, before);
  return degrees(Math.atan2(before, up) + Math.asin(Math.min(1, thighHalf / reach)));
}

type Girthed = Pick<Body, 'heightM' | 'girths'>;

/** The girth measured, or the usual one. */
const girthOf = ({ heightM, girths }: Girthed, id: GirthId): number =>
  girths?.[id] ?? girthTable[id].usual * heightM;

/**
 * The smallest angle between trunk and thigh that belly and thighs leave, degrees; `null` where
 * neither was measured, or where they leave as much as usual.
 */
export function leastHipDeg(body: Girthed): number | null {
  const { heightM, girths } = body;
  if (girths?.bellyGirth === undefined && girths?.thighGirth === undefined) return null;
  const usual = meetingDeg(
    heightM,
    girthTable.bellyGirth.usual * heightM,
    girthTable.thighGirth.usual * heightM,
  );
  const own = meetingDeg(heightM, girthOf(body, 'bellyGirth'), girthOf(body, 'thighGirth'));
  return own <= usual ? null : rules.usualFoldDeg + own - usual;
}

const between = (metres: number) => Math.min(rules.mostWiderM, Math.max(0, metres));

/** How much further out hands and elbows go, so that chest and belly find room between; metres. */
export function widerForTrunkM(body: Girthed): number {
  const excess = (id: 'chestGirth' | 'bellyGirth') =>
    acrossM(girthOf(body, id)) - acrossM(girthTable[id].usual * body.heightM);
  return between(Math.max(excess('chestGirth'), excess('bellyGirth')) / 2);
}

/** How far apart the middles of the feet stand, where the thighs want more than hip width; metres. */
export function feetApartM(body: Girthed): number | null {
  if (body.girths?.thighGirth === undefined) return null;
  const { heightM } = body;
  const thickM = girthOf(body, 'thighGirth') / Math.PI;
  const usualM = (girthTable.thighGirth.usual * heightM) / Math.PI;
  const wider = between(thickM - usualM);
  return wider === 0 ? null : usualM + wider;
}

/** Across the trunk at its widest, metres; `null` where nothing was measured. */
export const trunkAcrossM = ({ girths }: Girthed): number | null => {
  const known = [girths?.chestGirth, girths?.bellyGirth].filter((one) => one !== undefined);
  return known.length === 0 ? null : acrossM(Math.max(...known));
};

/** How much deeper than drawn for usual bodies, as a factor; `null`: not measured. */
export const girthFactor = ({ heightM, girths }: Girthed, id: GirthId): number | null =>
  girths?.[id] === undefined ? null : girths[id] / (girthTable[id].usual * heightM);
