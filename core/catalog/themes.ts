/** What a whole class can be about, where it is not about a family's next rung. Source: handbook 08. */
import type { CheckKey } from './checks';
import type { DrillSpec } from './drills';

interface ThemeSpec {
  readonly label: string;
  /** Is this drill of the theme? */
  readonly has: (drill: DrillSpec) => boolean;
}

const loads =
  (...wanted: readonly (keyof DrillSpec['loads'])[]) =>
  (drill: DrillSpec) =>
    wanted.some((region) => (drill.loads[region] ?? 0) >= 0.3);

const serves = (drill: DrillSpec, ...checks: readonly CheckKey[]) =>
  checks.some((check) => drill.serves.includes(check));

export const themeTable = {
  shoulders: {
    label: 'Opening the shoulders',
    has: (drill) =>
      drill.purpose !== 'strengthens' && serves(drill, 'shoulder-flexion', 'head-clearance'),
  },
  wrists: {
    label: 'Wrists and hands',
    has: (drill) => serves(drill, 'wrist-extension') || (drill.loads.wrist ?? 0) >= 0.5,
  },
  trunk: { label: 'Trunk and scapulae', has: loads('core', 'scapula') },
  legs: { label: 'Legs and hips', has: loads('hamstring', 'hip') },
  release: {
    label: 'Release and counterposes',
    has: (drill) => drill.purpose === 'releases' || drill.purpose === 'warms',
  },
} as const satisfies Record<string, ThemeSpec>;

export type ThemeId = keyof typeof themeTable;
export const themeIds = Object.keys(themeTable) as [ThemeId, ...ThemeId[]];

/** Is a drill what the evening is about? Without a theme none is. */
export const isOnTheme = (drill: DrillSpec, theme: ThemeId | undefined): boolean =>
  theme !== undefined && themeTable[theme].has(drill);
