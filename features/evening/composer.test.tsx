import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import { FakeComposer, fakeComposers } from '@/features/testing/fakeComposer';
import { beginComposer } from './composer';

beforeAll(fakeComposers);

const question = { kind: 'shop', classes: [] } as ComposeQuestion;
const bought: ComposeAnswer = { kind: 'bought', purchases: [] };

function asked() {
  const answers: ComposeAnswer[] = [];
  const composer = beginComposer();
  const ask = () => composer.ask(question, (answer) => answers.push(answer));
  return { answers, composer, ask };
}

it('begins with the first question, and asks the same one again', () => {
  const before = FakeComposer.begun;
  const { answers, ask } = asked();
  expect(FakeComposer.begun).toBe(before);
  ask();
  FakeComposer.last.answer(bought);
  ask();
  FakeComposer.last.answer(bought);
  expect(FakeComposer.begun).toBe(before + 1);
  expect(answers).toEqual([bought, bought]);
});

it('says so where it does not come, and begins another one when asked again', () => {
  const { answers, ask } = asked();
  ask();
  const first = FakeComposer.last;
  first.fail();
  expect(answers).toEqual([{ kind: 'failed', words: expect.stringMatching(/did not come/) }]);
  expect(first.isEnded).toBe(true);
  ask();
  expect(FakeComposer.last).not.toBe(first);
  expect(FakeComposer.last.asked).toBe(question);
  FakeComposer.last.answer(bought);
  expect(answers.at(-1)).toBe(bought);
});

it('tells nobody anything once it is ended, nor when nobody listens', () => {
  const { answers, ask, composer } = asked();
  ask();
  composer.ask(question);
  FakeComposer.last.answer(bought);
  expect(answers).toEqual([]);
  ask();
  composer.end();
  expect(FakeComposer.last.isEnded).toBe(true);
  FakeComposer.last.answer(bought);
  FakeComposer.last.fail();
  expect(answers).toEqual([]);
});
