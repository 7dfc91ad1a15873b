import type { Judgement } from '@/server/judging/judgement';

/** Another shape tonight. Pain keeps the mark of a stop: somebody will ask how it is. */
export const isElsewhere = ({ alternative, cause }: Judgement['verdict']): boolean =>
  alternative !== undefined && cause !== 'pain';
