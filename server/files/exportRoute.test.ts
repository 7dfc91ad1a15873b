/** Every file with people in it leaves a line in the diary, and goes to the teacher alone. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { readDiary } from '@/features/settings/setAside';
import { exportRoute } from './exportRoute';
import { asAssistant, asTeacher } from '../network/testingAsker';
import { withThrowawayStudio } from '@/features/testing/studio';

jest.mock('next/navigation', () => ({ notFound: () => undefined }));
jest.mock('next/headers', () => ({ headers: () => Promise.resolve(new Headers()) }));
withThrowawayStudio();

const ask = (headers: Headers) => new Request('http://localhost/x', { headers });

it('notes who handed out what was handed out, and nothing else', async () => {
  const good = exportRoute(() => new Response('everything'));
  const none = exportRoute(() => new Response('nobody', { status: 404 }));
  expect((await none(ask(asTeacher()))).status).toBe(404);
  expect((await good(ask(asAssistant()))).status).toBe(403);
  expect((await good(ask(new Headers()))).status).toBe(403);
  expect(readDiary(5)).toEqual([]);
  expect(await (await good(ask(asTeacher()))).text()).toBe('everything');
  expect(readDiary(5)).toMatchObject([{ kind: 'exported', who: 'Vera' }]);
});

/** Files that are about the studio's own tables, not about anybody. */
const aboutNobody = [
  'courses/[id]/calendar',
  'entries/file',
  'profiles/[key]/file',
  'settings/diary',
  // Printed or put into a calendar at once, without anything of the record.
  'people/[id]/card/drawing',
  'people/[id]/home/calendar',
  'people/[id]/home/file',
];

it('is the way of every address that hands out a file', () => {
  const root = 'app';
  const handing = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('route.ts'))
    .filter((file) => readFileSync(path.join(root, file), 'utf8').includes('attachment; filename'))
    .map((file) => path.dirname(file));
  const noted = handing.filter((file) =>
    readFileSync(path.join(root, file, 'route.ts'), 'utf8').includes('exportRoute(answer)'),
  );
  expect(noted.length).toBeGreaterThan(5);
  const bare = handing.filter((file) => !noted.includes(file));
  // As their addresses are: what stands in brackets only says whose frame they are in.
  const addresses = bare.map((file) => file.replace(/\(\w+\)\//, ''));
  expect(addresses.sort()).toEqual([...aboutNobody].sort());
});
