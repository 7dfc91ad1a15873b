import { recoverDesk } from '@/server/desk/desk';
import { answerDesk } from '@/server/desk/deskRoute';

/** The printed code and a new passphrase, tried. */
export const POST = (request: Request): Promise<Response> => answerDesk(request, recoverDesk);
