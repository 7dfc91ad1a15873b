import type { ReviewPerson } from './review';

/** What is agreed with: the rungs, and what is suggested of them. */
export const shownOf = ({ suggested }: Pick<ReviewPerson, 'suggested'>) =>
  suggested.map(({ stage, kind }) => ({ stage, kind }));
