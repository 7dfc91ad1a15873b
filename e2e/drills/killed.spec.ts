import { expect, test } from '../support';
import { startOwnServer } from '../ownServer';

test('hundreds of taps through a server that is killed again and again: each once, in order', async ({
  request,
  browser,
}) => {
  test.setTimeout(300_000);
  const page = await browser.newPage();
  const server = await startOwnServer(request, { port: 3229, isSeeded: true });
  try {
    await page.goto(`${server.address}/floor`);
    await page.getByRole('button', { name: 'Begin the class' }).first().click();
    await page.waitForURL(/\/floor\/[0-9a-f-]{36}$/);
    const taps = `${page.url()}/taps`;
    await page.goto('about:blank');
    const all = Array.from({ length: 500 }, (_, index) => ({
      device: 'burst',
      seq: index + 1,
      at: { boot: 'b', monoMs: index * 100, wallMs: 1e12 + index * 100 },
      act: { kind: 'segment', index: index % 20, roundsDone: 0 },
    }));
    const post = (body: object) =>
      request
        .post(taps, { data: body, headers: { origin: server.address }, timeout: 5000 })
        .then(async (response) =>
          response.ok()
            ? ((await response.json()) as { upTo: number; taps: { seq: number }[] })
            : null,
        )
        .catch(() => null);
    let upTo = 0;
    let made = 0;
    let kills = 0;
    const killAt = [0.12, 0.38, 0.66, 0.92].map((share) => share * all.length);
    while (upTo < all.length) {
      made = Math.min(all.length, made + 7);
      const delivery = all.slice(upTo, made);
      const isKilled = kills < killAt.length && made >= killAt[kills]!;
      const sent = post({ device: 'burst', after: 0, taps: delivery });
      if (isKilled) {
        kills += 1;
        // Somewhere in the middle of the answer.
        await new Promise((resolve) => setTimeout(resolve, (kills * 7) % 13));
        await server.killAndRestart();
      }
      const answer = await sent;
      if (answer === null) await server.wake();
      else upTo = Math.max(upTo, answer.upTo);
    }
    expect(kills).toBe(killAt.length);
    const kept = await post({ device: 'reader', after: 0, taps: [] });
    const burst = kept!.taps.filter((tap) => (tap as { device?: string }).device === 'burst');
    expect(burst.map(({ seq }) => seq)).toEqual(all.map(({ seq }) => seq));
  } finally {
    await server.stop();
    await page.close();
  }
});
