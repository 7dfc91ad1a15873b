'use server';

import { action } from '@/server/action';
import { dropPassphrase } from '@/server/desk/desk';

export const dropPassphraseAction = action(dropPassphrase);
