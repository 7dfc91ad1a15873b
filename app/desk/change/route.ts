import { changePassphrase } from '@/server/desk/desk';
import { answerDesk } from '@/server/desk/deskRoute';
import { deskRoute } from '@/server/guarded';

/** A new passphrase, from somebody who knows the present one. */
export const POST = deskRoute((request) => answerDesk(request, changePassphrase));
