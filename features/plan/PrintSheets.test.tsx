import { screen, within } from '@testing-library/react';
import { drillsOf } from '@/core/compose/drillsOf';
import { sayMethod } from '@/core/catalog/taking';
import { findOption } from '@/core/compose/readBack';
import { renderUi } from '@/design/testing/renderUi';
import { database } from '@/server/database';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { readCatalog, readSchool } from '@/server/judging/schools';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { listSaid } from './said';
import { PrintSheets } from './PrintSheets';

withThrowawayStudio();

function readDemo() {
  fillWithDemo();
  const view = readClass(null)!;
  const plan = findStandingPlan(view);
  const school = readSchool(database(), view.profile);
  return { view, plan, school, stages: readCatalog(database()).stages };
}

/** Nothing here changes it: it is read once. */
let demo: ReturnType<typeof readDemo> | undefined;
function printDemo() {
  demo ??= readDemo();
  const { view, plan, school, stages } = demo;
  const said = listSaid(plan, view.prepared, school);
  renderUi(<PrintSheets view={view} plan={plan} stages={stages} said={said} />);
  return demo;
}

const sheet = (name: string) => screen.getByRole('region', { name });

it('prints every line with its minutes and how each drill goes', () => {
  const { view, plan } = printDemo();
  const lines = within(sheet('Running order')).getAllByRole('listitem');
  const drills = drillsOf(view.prepared);
  let told = 0;
  plan.timeline.forEach(({ label, minutes, drill }, at) => {
    expect(lines[at]).toHaveTextContent(label);
    expect(lines[at]).toHaveTextContent(`${minutes} min`);
    if (drill === undefined) return;
    expect(lines[at]).toHaveTextContent(drills[drill]!.how);
    told += 1;
  });
  expect(told).toBeGreaterThan(3);
  expect(sheet('Running order')).toHaveTextContent(/Watch for: /);
});

it('says on which base a check is taken where that matters, and each check once', () => {
  const { plan } = printDemo();
  const labels = plan.checks.map(({ label }) => label);
  expect(new Set(labels).size).toBe(labels.length);
  for (const label of labels) expect(sheet('Running order')).toHaveTextContent(label);
});

it('says how each check is taken: from where it is looked at, and what it is read off', () => {
  const { plan, school } = printDemo();
  expect(plan.checks.length).toBeGreaterThan(1);
  for (const { check } of plan.checks) {
    const words = sayMethod(school.checks.get(check)!.spec)!;
    expect(words).toMatch(/^From .*\./);
    expect(sheet('Running order')).toHaveTextContent(words);
  }
});

it('tells nobody on a mat how far from a wall', () => {
  const { view, plan } = printDemo();
  const onMats = plan.layOut.filter(({ where }) => where === 'mat on the floor');
  expect(onMats.length).toBeGreaterThan(3);
  const rows = within(sheet('To lay out')).getAllByRole('row');
  for (const row of rows.filter((one) => /mat on the floor/.test(one.textContent ?? ''))) {
    expect(row).not.toHaveTextContent(/from the wall/);
  }
  for (const { people } of plan.rounds) {
    for (const { id, option, place } of people) {
      if (place.kind !== 'mat') continue;
      expect([id, findOption(view.prepared, id, option)?.baseM]).toEqual([id, undefined]);
    }
  }
});

it('gives the assistant no reason and no care, and everybody a card of their own', () => {
  const { view, plan } = printDemo();
  const watched = plan.rounds.flatMap(({ people }) =>
    people.flatMap(({ id, option }) => findOption(view.prepared, id, option)?.watch ?? []),
  );
  expect(watched.length).toBeGreaterThan(0);
  const assistant = sheet('For the assistant');
  for (const words of watched) expect(assistant).not.toHaveTextContent(words);
  const cards = within(sheet('Cards')).getAllByRole('article');
  expect(cards).toHaveLength(plan.rounds[0]!.people.length);
});

it('says in the order who does what in each round, by the letters', () => {
  const { plan, view } = printDemo();
  const lines = within(sheet('Running order')).getAllByRole('listitem');
  const rounds = plan.timeline.flatMap(({ kind }, at) => (kind === 'round' ? [lines[at]!] : []));
  expect(rounds).toHaveLength(plan.rounds.length);
  plan.rounds.forEach(({ people }, at) => {
    const things = rounds[at]!.textContent!.split(' · ');
    for (const { letter, label } of people) {
      // Each thing once, with all the letters that it stands under before it.
      const [thing, ...more] = things.filter((one) => one.includes(`${label} (`));
      expect(more).toEqual([]);
      expect(thing).toMatch(new RegExp(`(?:^|[\\d ])${letter}[, ].*${label} \\(`));
    }
    const named = view.members.filter(({ name }) => {
      const [first = name] = name.split(' ');
      return rounds[at]!.textContent!.includes(first);
    });
    expect(named).toHaveLength(people.length);
  });
});

it('gives the assistant each post once, with everybody who uses it', () => {
  const { plan } = printDemo();
  const title = within(sheet('For the assistant')).getByRole('heading', { name: 'Stations' });
  const posts = within(title.nextElementSibling as HTMLElement).getAllByRole('listitem');
  const before = posts.map(({ textContent }) => textContent!.replace(/ \([^(]*\)$/, ''));
  expect(new Set(before).size).toBe(before.length);
  for (const { letter, where } of plan.layOut) {
    expect(before.some((words) => words.startsWith(`${letter}: ${where}`))).toBe(true);
  }
});
