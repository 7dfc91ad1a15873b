/** A file with people in it on its way out: the teacher's alone, and a line in the diary. */
import { readAsker } from '../network/asker';
import { askingAs } from '../network/asking';
import { teacherRoute } from '../network/guarded';
import { noteExport } from './studioFile';

/** What was answered well was handed out; a file of nobody was not. */
export const exportRoute = <Rest extends readonly unknown[]>(
  answer: (request: Request, ...rest: Rest) => Response | Promise<Response>,
) =>
  teacherRoute<Rest>(async (request, ...rest) => {
    const response = await answer(request, ...rest);
    if (response.ok) askingAs(readAsker(request.headers), noteExport);
    return response;
  });
