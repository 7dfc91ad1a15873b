export type Group = 'composing' | 'server' | 'core' | 'features' | 'components';
export const groups: readonly Group[];
export function groupOf(file: string): Group;
export function findTests(root: string): {
  readonly together: Readonly<Record<Group, readonly string[]>>;
  readonly alone: readonly string[];
};
