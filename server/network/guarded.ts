/** Every page and every file asks who it is for; whoever is not named here gets nothing. */
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { forPages, readAsker, type Asker, type PageAsker } from './asker';

export type Audience = 'teacher' | 'class';

/** The teacher alone, or everybody who was let into the running class. */
export const isFor = (audience: Audience, { role, isLocked }: PageAsker): boolean =>
  role === 'teacher'
    ? !isLocked || audience === 'class'
    : role === 'assistant' && audience === 'class';

/** Who asks for this page. Somebody it is not for sees that there is no such page. */
export async function askerOf(audience: Audience): Promise<PageAsker> {
  const asker = readAsker(await headers());
  if (!isFor(audience, asker)) notFound();
  return forPages(asker);
}

/** A page of the teacher's: nothing of it is read before it is known who asks. */
export const teacherPage =
  <Props, Result>(page: (props: Props) => Result | Promise<Result>) =>
  async (props: Props): Promise<Result> => {
    await askerOf('teacher');
    return page(props);
  };

type Answer = Response | Promise<Response>;

const closed = () => new Response('This is the teacher’s.', { status: 403 });

/** A file or an address of the teacher's. */
export const teacherRoute =
  <Rest extends readonly unknown[]>(answer: (request: Request, ...rest: Rest) => Answer) =>
  async (request: Request, ...rest: Rest): Promise<Response> =>
    isFor('teacher', readAsker(request.headers)) ? answer(request, ...rest) : closed();

/** An address of the running class, for teacher and assistants. */
export const classRoute =
  <Rest extends readonly unknown[]>(
    answer: (request: Request, asker: Asker, ...rest: Rest) => Answer,
  ) =>
  async (request: Request, ...rest: Rest): Promise<Response> => {
    const asker = readAsker(request.headers);
    return isFor('class', asker) ? answer(request, asker, ...rest) : closed();
  };

/** An address of the desk itself: no other device has a say in it. */
export const deskRoute = (answer: (request: Request) => Answer) =>
  teacherRoute((request) =>
    readAsker(request.headers).isFromNetwork ? closed() : answer(request),
  );

/**
 * The title of one of many pages, so that tabs and history tell them apart. Whoever the page is not
 * for sees what such pages are called, and nothing is read for them. People are given by initials:
 * names stay out of the history of a shared tablet.
 */
export const teacherTitle =
  <Params>(usual: string, find: (params: Params) => string | null) =>
  async ({ params }: { readonly params: Promise<Params> }): Promise<{ title: string }> => {
    if (!isFor('teacher', readAsker(await headers()))) return { title: usual };
    return { title: find(await params) ?? usual };
  };

/** `A. R.`: enough for whoever knows them. */
export const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .filter((part) => part !== '')
    .map((part) => `${part[0]!.toUpperCase()}.`)
    .join(' ');
