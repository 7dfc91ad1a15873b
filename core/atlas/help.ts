/** Where a helper stands, and where the hands lie. Source: handbook 02 "Assist". */
export interface Help {
  /** What is held or touched; nothing by whoever stands by and watches. */
  readonly at: HelpPlace;
  /** Feet of the helper from there along the floor, share of height; negative on the side of the feet. */
  readonly standsAt: number;
}

export type HelpPlace =
  'nothing' | 'chair' | 'blades' | 'hip' | 'thigh' | 'shin' | 'farThigh' | 'farShin';

const helpTable = {
  blades: { at: 'blades', standsAt: -0.34 },
  'blades-ahead': { at: 'blades', standsAt: 0.36 },
  'hips-back': { at: 'hip', standsAt: -0.42 },
  'hips-up': { at: 'hip', standsAt: -0.36 },
  'hips-ahead': { at: 'hip', standsAt: 0.34 },
  'hips-behind': { at: 'hip', standsAt: -0.36 },
  hips: { at: 'hip', standsAt: -0.34 },
  thigh: { at: 'thigh', standsAt: -0.34 },
  'far-thigh': { at: 'farThigh', standsAt: -0.36 },
  shins: { at: 'shin', standsAt: -0.36 },
  'far-shin': { at: 'farShin', standsAt: -0.36 },
  'far-shin-ahead': { at: 'farShin', standsAt: 0.36 },
  side: { at: 'nothing', standsAt: -0.5 },
  shoulders: { at: 'nothing', standsAt: 0.55 },
  chair: { at: 'chair', standsAt: -0.3 },
  'chair-back': { at: 'chair', standsAt: -0.3 },
  pieces: { at: 'hip', standsAt: -0.1 },
} as const satisfies Record<string, Help>;

export type HelpId = keyof typeof helpTable;
export const helpIds = Object.keys(helpTable) as [HelpId, ...HelpId[]];
export const getHelp = (id: HelpId): Help => helpTable[id];
