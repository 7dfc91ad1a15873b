import { forgetRead } from '@/db/changes';
import { forgetPeople } from '@/db/people';
import { forgetCases } from './cases';
import { forgetPrepared } from './once';
import { forgetStandings } from './standings';

/** What is kept of judging goes with whoever was deleted. */
export function forgetJudged(): void {
  forgetPeople();
  forgetRead();
  forgetCases();
  forgetStandings();
  forgetPrepared();
}
