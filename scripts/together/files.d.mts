export type Group = 'server' | 'components' | 'core' | 'composing' | 'features' | 'commands';
export const groups: readonly Group[];
export function replacedIn(text: string): readonly string[];
export function groupOf(file: string): Group;
export function findTests(root: string): {
  readonly together: Readonly<Record<Group, readonly string[]>>;
  readonly alone: readonly string[];
};
