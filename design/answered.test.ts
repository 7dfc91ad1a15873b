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
