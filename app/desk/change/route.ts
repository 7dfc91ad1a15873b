import { changePassphrase } from '@/server/desk/desk';
import { answerDesk } from '@/server/desk/deskRoute';
import { deskRoute } from '@/server/network/guarded';
import { anybodysWords } from '@/server/useCase';

/** A new passphrase, from somebody who knows the present one. */
export const POST = deskRoute((request) => answerDesk(request, anybodysWords(changePassphrase)));
