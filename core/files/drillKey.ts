import { z } from 'zod';
import { drillIds } from '../catalog/drills';
import { ownKey } from '../catalog/entries';

/** A shipped drill, or one of the teacher's own. */
export const drillKey = z.union([z.enum(drillIds), ownKey], 'This drill is in no list.');
