import type { FloorRole } from '@/core/running/roles';
import type { PageAsker } from '../network/asker';

/** What a class shows: at a locked desk no more than an assistant sees. */
export const classRole = ({ role, isLocked }: PageAsker): FloorRole =>
  role === 'teacher' && !isLocked ? 'teacher' : 'assistant';
