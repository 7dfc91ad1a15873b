import { solveStage } from '@/core/setups/solveStage';
import { keepPlan } from '@/features/plan/change';
import { must, fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { readCards } from './cardsTonight';
import { stageOf } from './StageDrawing';

withThrowawayStudio();

it('is empty before there is a course', () => {
  expect(readCards()).toBeNull();
});

it('shows the rung, and says so, while no plan is kept', () => {
  fillWithDemo();
  const view = readCards()!;
  expect(view.hasPlan).toBe(false);
  expect(view.cards).toHaveLength(14);
  expect(view.cards.every(({ tonight }) => tonight === undefined)).toBe(true);
});

it('shows what the kept plan gives each of them, with the same distances', () => {
  fillWithDemo();
  const evening = readClass(null)!;
  const plan = findStandingPlan(evening);
  must(
    keepPlan(evening.course.id, evening.meeting.date, { wishes: evening.wishes, plan, seen: 0 }),
  );
  const { cards, hasPlan, without } = readCards()!;
  expect(hasPlan).toBe(true);
  const placed = plan.rounds.flatMap(({ people }) => people);
  for (const { judgement, tonight } of cards) {
    const own = placed.filter(
      ({ id, letter }) =>
        id === String(judgement.person.id) &&
        letter !== null &&
        tonight!.startsWith(`Tonight: ${letter},`),
    );
    const { alternative } = judgement.verdict;
    const shown = alternative ?? judgement.verdict.stage;
    if (own.length > 0) expect(own.map(({ option }) => option).join()).toContain(shown);
    // The wall distance of the card is the plan's.
    const station = plan.stations.find(
      ({ letter, option }) => own[0]?.letter === letter && own[0]?.option === option,
    );
    const base = station?.figures?.find(({ id }) => id === 'base');
    const result = solveStage(judgement.setupInput, stageOf(judgement));
    const drawn = result?.distances.find(({ id }) => id === 'base');
    if (alternative === undefined && base !== undefined && drawn !== undefined) {
      expect(Math.abs(drawn.metres - base.metres)).toBeLessThanOrEqual(0.0101);
    }
  }
  const names = new Set(cards.map(({ judgement }) => judgement.person.name));
  expect(names.size + without.length).toBe(14);
});

it('shows them by the school of the evening, where it is another one than the course’s', () => {
  fillWithDemo();
  const first = readClass(null)!;
  const wishes = { ...first.wishes, profile: 'strength-led' as const };
  const plan = findStandingPlan(first);
  must(keepPlan(first.course.id, first.meeting.date, { wishes, plan, seen: 0 }));
  // Composed anew by that school, since what one opens another may close.
  const other = readClass(null)!;
  const own = findStandingPlan({ ...other, kept: null });
  must(keepPlan(first.course.id, first.meeting.date, { wishes, plan: own, seen: other.revision }));
  const view = readCards()!;
  if (!view.hasPlan) throw new Error('The plan does not stand in the other school.');
  for (const { judgement } of view.cards) {
    expect(judgement.opened.school.profile.origin).toBe('strength-led');
  }
});
