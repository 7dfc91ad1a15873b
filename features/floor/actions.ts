'use server';

import { action } from '@/server/action';
import { beginClass } from '@/server/running/floor';
import { joinClass, leaveClass } from './joinClass';

export const beginClassAction = action(beginClass);
export const joinClassAction = action(joinClass);
export const leaveClassAction = action(leaveClass);
