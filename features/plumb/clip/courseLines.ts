/** What a clip's chart draws, by its dashes as by its colour. */
export const courseLines = [
  { key: 'hips', label: 'hips', stroke: 'var(--lv-ink)', dash: undefined },
  { key: 'nearFoot', label: 'near foot', stroke: 'var(--lv-green)', dash: undefined },
  { key: 'farFoot', label: 'far foot', stroke: 'var(--lv-green)', dash: '5 4' },
  { key: 'toWall', label: 'foot to wall', stroke: 'var(--lv-brass)', dash: '2 3' },
] as const;
