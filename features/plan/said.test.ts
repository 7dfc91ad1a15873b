import { database } from '@/server/database';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { readSchool } from '@/server/judging/schools';
import { sayAt, watchAt } from '@/core/ladder/eyeWords';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { listSaid } from './said';

withThrowawayStudio();

function openEvening() {
  fillWithDemo();
  const view = readClass(null)!;
  const school = readSchool(database(), view.profile);
  const plan = findStandingPlan(view);
  return { plan, school, said: listSaid(plan, view.prepared, school) };
}

describe('what is said and looked for in a class', () => {
  it('is all of what the school says at each rung, and what is alike stands once', () => {
    const { school, said } = openEvening();
    expect(said.lines.length).toBeGreaterThan(4);
    for (const { stage, letters, say, watch } of said.lines) {
      const alike = said.alike
        .filter((one) => letters.every((letter) => one.letters.includes(letter)))
        .flatMap((one) => one.say);
      expect([...say, ...alike]).toEqual(expect.arrayContaining(sayAt(school, stage)));
      expect(watch).toEqual(watchAt(school, stage));
    }
    const sentences = [...said.alike, ...said.lines].flatMap(({ say }) => say);
    for (const words of said.alike.flatMap(({ say }) => say)) {
      expect(sentences.filter((one) => one === words)).toHaveLength(1);
    }
  });

  it('names the stations of the plan, and no others', () => {
    const { plan, said } = openEvening();
    const letters = new Set(plan.stations.map(({ letter }) => letter));
    const named = [...said.alike, ...said.lines].flatMap((one) => one.letters);
    expect(named.filter((letter) => !letters.has(letter))).toEqual([]);
    // What is done at a station is said for it.
    expect(new Set(named).size).toBeGreaterThan(letters.size / 2);
  });
});
