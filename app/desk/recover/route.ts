import { recoverDesk } from '@/server/desk/desk';
import { answerDesk } from '@/server/desk/deskRoute';
import { anybodysWords } from '@/server/useCase';

/** The printed code and a new passphrase, tried. */
export const POST = (request: Request): Promise<Response> =>
  answerDesk(request, anybodysWords(recoverDesk));
