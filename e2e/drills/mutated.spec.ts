/**
 * Files of a studio with one thing in them changed at random: each is refused with words, or taken in
 * and then every page opens.
 */
import { randomUUID } from 'node:crypto';
import type { StudioFile } from '@/core/files/studioFile';
import { seededRandom } from '@/core/random';
import { saysWhere, withOddCourse, withOddPerson } from '@/core/testing/changeOnce';
import { startOwnServer } from '../ownServer';
import { readEverything } from './pages';
import { expect, test } from '../support';

const count = { people: 140, courses: 60 } as const;

test('what is taken in never keeps a page from opening', async ({ request }) => {
  test.setTimeout(600_000);
  const server = await startOwnServer(request, { port: 3245, isSeeded: true });
  try {
    const random = seededRandom(5);
    const whole = (await (
      await request.get(`${server.address}/settings/studio`)
    ).json()) as StudioFile;
    const headers = { origin: server.address };
    const take = async (file: object) => {
      const id = randomUUID();
      await request.post(`${server.address}/settings/upload?id=${id}&at=0`, {
        data: Buffer.from(JSON.stringify(file)),
        headers: { ...headers, 'content-type': 'application/octet-stream' },
      });
      const answer = await request.post(
        `${server.address}/settings/import?id=${id}&kind=studio&final=yes`,
        { headers },
      );
      expect(answer.status()).toBe(200);
      const last = JSON.parse((await answer.text()).trim().split('\n').at(-1)!) as {
        outcome: { ok: boolean; problems?: Record<string, string> };
      };
      if (!last.outcome.ok) {
        expect(Object.values(last.outcome.problems!).join(' ')).toMatch(saysWhere);
      }
      return last.outcome.ok;
    };
    const taken = { people: 0, courses: 0 };
    for (let index = 0; index < count.people; index += 1) {
      if (await take(withOddPerson(whole, randomUUID(), random))) taken.people += 1;
    }
    for (let index = 0; index < count.courses; index += 1) {
      if (await take(withOddCourse(whole, 900 + index, random))) taken.courses += 1;
    }
    console.log(`Taken in: ${taken.people} people, ${taken.courses} courses`);
    expect(taken.people).toBeGreaterThan(10);
    expect(taken.courses).toBeGreaterThan(3);
    const pages = await readEverything(request, server);
    expect(pages.size).toBeGreaterThan(60 + taken.people);
    // Nothing had to be set aside: the door is as strict as the pages.
    expect(pages.get('/settings')).not.toContain('Set aside');
  } finally {
    await server.stop();
  }
});
