import { listToAsk } from '@/db/homeReports';
import { database } from '@/server/database';

/** Who reported something from home that is to be asked about. */
export const readFromHome = (people: readonly number[]): number[] => listToAsk(database(), people);
