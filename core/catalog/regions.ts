/** The regions of the body that stages and drills load, and where pain may be. Handbook 03 and 07. */
export const regionTable = {
  wrist: { label: 'wrists' },
  shoulder: { label: 'shoulders' },
  scapula: { label: 'shoulder blades' },
  core: { label: 'trunk' },
  neck: { label: 'neck' },
  hamstring: { label: 'backs of the legs' },
  hip: { label: 'hips' },
} as const;

export type Region = keyof typeof regionTable;
export const regions = Object.keys(regionTable) as [Region, ...Region[]];

/** Share of full load on each region, above 0 to 1. */
export type RegionLoads = Readonly<Partial<Record<Region, number>>>;

/**
 * What a shape strains besides the regions whose reserve it uses: a kick, hop, lunge or squat leg
 * and hip; a leg lifted behind the hip; a fold the back; what lies or stands on the shoulders
 * shoulder and neck; an arch the back. Source: handbook 07 "One gatekeeper".
 */
export type BodyRegion = (typeof bodyRegions)[number];

/** Every region by what it is called; those that tire first. */
export const bodyRegionTable = {
  ...regionTable,
  leg: { label: 'legs and knees' },
  back: { label: 'back' },
  elbow: { label: 'elbows' },
} as const;

export const bodyRegions = [
  ...regions,
  'leg',
  'back',
  'elbow',
] as const satisfies readonly (keyof typeof bodyRegionTable)[];

/** Where a student says it hurts, and which regions that closes. */
export const painPlaceTable = {
  wrist: { label: 'wrist or hand', regions: ['wrist'] },
  elbow: { label: 'elbow', regions: ['elbow', 'wrist', 'shoulder'] },
  shoulder: { label: 'shoulder', regions: ['shoulder', 'scapula'] },
  neck: { label: 'neck', regions: ['neck', 'scapula'] },
  back: { label: 'back', regions: ['back', 'core', 'neck'] },
  hip: { label: 'hip', regions: ['hip'] },
  leg: { label: 'leg or knee', regions: ['leg', 'hamstring', 'hip'] },
  /** Said to be sore, place not given: everything that loads anything closes. */
  elsewhere: { label: 'somewhere else', regions: bodyRegions },
} as const satisfies Record<string, { label: string; regions: readonly BodyRegion[] }>;

export type PainPlace = keyof typeof painPlaceTable;
export const painPlaces = Object.keys(painPlaceTable) as [PainPlace, ...PainPlace[]];

/** A place not given closes as much as one nobody can name. */
export function closedRegions(place: PainPlace = 'elsewhere'): readonly BodyRegion[] {
  return painPlaceTable[place].regions;
}

/**
 * Signs after which every inversion and every load on the neck stays closed until a clinician's
 * word is noted. Source: handbook 07 "Stop signs".
 */
export const stopSignTable = {
  tingling: { label: 'tingling' },
  'neck-pressure': { label: 'pressure at the base of the neck' },
  'seeing-stars': { label: 'seeing stars' },
  ringing: { label: 'ringing' },
  'sudden-headache': { label: 'sudden headache' },
} as const;

export type StopSign = keyof typeof stopSignTable;
export const stopSigns = Object.keys(stopSignTable) as [StopSign, ...StopSign[]];
