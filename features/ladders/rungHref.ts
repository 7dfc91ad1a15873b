import type { StageKey } from '@/core/catalog/stage';

/** A rung at somebody's size; without anybody at whoever comes first. */
export const rungHref = (stage: StageKey, person: number | null): string =>
  `/ladders/${stage}${person === null ? '' : `?person=${person}`}`;
