import { answered } from './answered';

it('hands on what was answered', async () => {
  expect(await answered(Promise.resolve({ ok: true, value: 3 }))).toEqual({ ok: true, value: 3 });
  const refused = { ok: false, problems: { name: 'Write a name.' } } as const;
  expect(await answered(Promise.resolve(refused))).toBe(refused);
});

it('makes an answer of none: what was typed stays where it is', async () => {
  const lost = Promise.reject<never>(new TypeError('Failed to fetch'));
  expect(await answered(lost)).toEqual({
    ok: false,
    problems: { form: expect.stringContaining('try again') },
  });
});

it('tells a fault of the studio from a connection that ended', async () => {
  const fault = Object.assign(new Error('An error occurred'), { digest: '123' });
  const said = await answered(Promise.reject<never>(fault));
  expect(said).toMatchObject({
    ok: false,
    problems: { form: expect.stringMatching(/fault of its own/) },
  });
  // Nothing of the error itself is shown.
  expect(JSON.stringify(said)).not.toMatch(/123|An error/);
});
