import { signIn } from '@/server/desk/desk';
import { answerDesk } from '@/server/desk/deskRoute';
import { done } from '@/server/result';
import { anybodysWords } from '@/server/useCase';

/** The passphrase, tried. */
export const POST = (request: Request): Promise<Response> =>
  answerDesk(request, async (input) => {
    const outcome = await anybodysWords(signIn)(input);
    return outcome.ok ? done({ token: outcome.value }) : outcome;
  });
