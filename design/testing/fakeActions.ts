/**
 * Typed-in answers in place of a feature's server actions, for tests of its components:
 *
 *     jest.mock('./actions', () =>
 *       jest.requireActual('@/design/testing/fakeActions').fakeActions({ saveAction: 'save' }),
 *     );
 */
type Answer = (what: string) => Promise<object>;

/** What was asked, in order: the short name of an action and what it was given. */
export const asked: [what: string, ...given: unknown[]][] = [];

const good: Answer = () => Promise.resolve({ ok: true, value: undefined });
let answer = good;

/** From now on every action answers so. */
export const answerWith = (next: Answer): void => {
  answer = next;
};

/** Every action agrees with this value, or with nothing. */
export const agree = (value?: unknown): void =>
  answerWith(() => Promise.resolve({ ok: true, value }));

/** Every action refuses, with words by field. */
export const refuse = (problems: Readonly<Record<string, string>>): void =>
  answerWith(() => Promise.resolve({ ok: false, problems }));

/** Nothing was asked yet, and everything is agreed to. */
export function beginAsking(): void {
  asked.length = 0;
  answer = good;
}

/** @param names the short name of each action, by the name it is exported under */
export const fakeActions = (names: Readonly<Record<string, string>>): object =>
  Object.fromEntries(
    Object.entries(names).map(([exported, what]) => [
      exported,
      (...given: unknown[]) => {
        asked.push([what, ...given]);
        return answer(what);
      },
    ]),
  );
