import loadHighs, { type Highs } from 'highs';
import { toPlanFile, type PlanFile } from '../files/planFile';
import { checkPlan } from '../testing/checkPlan';
import { inventClass } from '../testing/inventClass';
import { composeClass } from './composeClass';
import { prepareClass } from './prepared';
import { usualSolve } from './solve';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

/** A made-up class composed, as a file, with what the independent checker needs. */
function compose(seed: number, isProved: boolean) {
  const { input, wishes } = inventClass(seed);
  const prepared = prepareClass(input);
  const plan = composeClass(isProved ? highs : null, prepared, wishes, { ...usualSolve, seed });
  const file = toPlanFile(plan, prepared, wishes, { binding: [], relief: null });
  return { file, input, wishes, plan };
}

const verify = ({ file, input, wishes }: ReturnType<typeof compose>) =>
  checkPlan(file, {
    room: input.room,
    pieces: input.pieces,
    helpers: wishes.helpers,
    people: input.people.map(({ id, opened, body }) => ({ id, opened, heightM: body.heightM })),
  });

describe('whole classes', () => {
  it('two hundred with random rooms and cupboards keep every hard rule', () => {
    for (let seed = 1; seed <= 200; seed += 1) {
      expect([seed, verify(compose(seed, false))]).toEqual([seed, []]);
    }
  });

  it('the proved plans keep them too, and are never worth less than the quick ones', () => {
    for (let seed = 5; seed <= 200; seed += 13) {
      const proved = compose(seed, true);
      expect([seed, verify(proved)]).toEqual([seed, []]);
      expect(proved.plan.bound).toBeGreaterThanOrEqual(proved.plan.objective - 1e-9);
    }
  });

  it('come out the same for the same seed', () => {
    const text = (file: PlanFile) => JSON.stringify(file);
    expect(text(compose(31, true).file)).toBe(text(compose(31, true).file));
  });

  it('are checked by something that notices', () => {
    const made = compose(26, false);
    const { file } = made;
    const seen = (change: (copy: PlanFile) => void) => {
      const copy = structuredClone(file);
      change(copy);
      return verify({ ...made, file: copy });
    };
    const lanes = (copy: PlanFile) =>
      copy.rounds[0]!.people.flatMap(({ place }) => (place.kind === 'lane' ? [place] : []));
    expect(lanes(file).length).toBeGreaterThan(1);
    expect(seen((copy) => Object.assign(lanes(copy)[1]!, lanes(copy)[0]))).not.toEqual([]);
    expect(seen((copy) => (lanes(copy)[0]!.toM += 30))).not.toEqual([]);
    expect(seen((copy) => (copy.rounds[0]!.people[0]!.id = 'stranger'))).not.toEqual([]);
    expect(
      seen((copy) => copy.rounds.forEach((round) => (round.people[0]!.needsHand = true))),
    ).not.toEqual([]);
    expect(
      seen((copy) => copy.layOut.forEach((line) => line.props.push({ piece: 'bench', count: 99 }))),
    ).not.toEqual([]);
  });
});
