/** The planner without a screen: stale answers, plans kept one after the other, the way back. */
import type { WishesFile } from '@/core/files/classFile';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import { done, refuse, type Outcome } from '@/server/result';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import type { Standing } from './change';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import { PlannerEngine, type PlannerState } from './plannerEngine';

withThrowawayStudio();

interface Asked {
  readonly question: ComposeQuestion;
  readonly answer: (answer: ComposeAnswer) => void;
  isOver: boolean;
}

function open({ isKept = false }: { isKept?: boolean } = {}) {
  fillWithDemo();
  const view = readClass(null)!;
  const plan = findStandingPlan(view);
  const asked: Asked[] = [];
  const judged: { wishes: WishesFile; answer: (outcome: Outcome<PreparedClass>) => void }[] = [];
  const kept: { plan: PlanFile; seen: number; answer: (outcome: Outcome<Standing>) => void }[] = [];
  const told: string[] = [];
  let fail = (): void => undefined;
  const engine = new PlannerEngine(
    {
      wishes: view.wishes,
      prepared: view.prepared,
      kept: isKept ? plan : null,
      revision: view.revision,
    },
    {
      ask: (question, answer) => {
        const one: Asked = { question, answer, isOver: false };
        asked.push(one);
        return () => {
          one.isOver = true;
        };
      },
      prepareAgain: (wishes) => new Promise((answer) => judged.push({ wishes, answer })),
      keep: ({ plan: made }, seen) =>
        new Promise((answer, lose) => {
          kept.push({ plan: made, seen, answer });
          fail = () => lose(new Error('no answer'));
        }),
      tell: (words) => told.push(words),
    },
  );
  const shown: PlannerState[] = [];
  engine.start((state) => shown.push(state));
  return {
    ...{ engine, asked, judged, kept, told, shown, plan, view },
    now: () => engine.state,
    fail: () => fail(),
  };
}

/** Lets promises that were answered go on. */
const settle = () => new Promise((resolve) => setImmediate(resolve));
const named = (plan: PlanFile, note: string): PlanFile => ({ ...plan, notes: [note] });

describe('the planner', () => {
  it('knows what stood before the newest word, and takes nothing half made for it', () => {
    const { engine, asked, plan, now } = open({ isKept: true });
    expect(now().stood).toBeNull();
    engine.change({ absent: ['3'] }, { keeps: true });
    expect(now().stood).toBe(plan);
    asked[0]!.answer({ kind: 'quick', plan: named(plan, 'quick') } as ComposeAnswer);
    // Said while the first answer is still being proved: the plan of before is what stood.
    engine.change({ absent: ['3', '4'] }, { keeps: true });
    expect(now().stood).toBe(plan);
    const made = named(plan, 'made');
    asked[1]!.answer({ kind: 'done', plan: made } as ComposeAnswer);
    engine.undo();
    expect(now().stood).toBe(made);
  });

  it('leaves a plan that was kept alone, and composes where there is none', () => {
    const kept = open({ isKept: true });
    expect(kept.asked).toEqual([]);
    expect(kept.now().status).toBe('kept');
  });

  it('shows the quick plan first, then how far it is, then the proved one, and keeps that', async () => {
    const { asked, kept, now, plan, view } = open();
    asked[0]!.answer({ kind: 'quick', milliseconds: 1, plan: named(plan, 'quick') });
    expect(now()).toMatchObject({ status: 'proving', plan: { notes: ['quick'] } });
    asked[0]!.answer({ kind: 'proving', gapPercent: 3 });
    expect(now().gapPercent).toBe(3);
    asked[0]!.answer({ kind: 'proved', milliseconds: 1, plan: named(plan, 'proved') });
    // Proved, it is the plan of the evening; what binds is added to it.
    expect(kept).toMatchObject([{ plan: { notes: ['proved'] }, seen: view.revision }]);
    kept[0]!.answer(done({ revision: view.revision + 1 }));
    await settle();
    asked[0]!.answer({ kind: 'done', plan: named(plan, 'done') });
    expect(now().status).toBe('done');
    await settle();
    expect(kept.at(-1)).toMatchObject({ plan: { notes: ['done'] } });
  });

  it('hears nothing of a worker whose question is out of date', () => {
    const { engine, asked, now, plan } = open();
    engine.change({ pins: [] });
    expect(asked).toHaveLength(2);
    expect(asked[0]!.isOver).toBe(true);
    asked[0]!.answer({ kind: 'done', plan: named(plan, 'old') });
    expect(now()).toMatchObject({ status: 'starting', plan: null });
    asked[1]!.answer({ kind: 'quick', milliseconds: 1, plan: named(plan, 'new') });
    expect(now().plan!.notes).toEqual(['new']);
  });

  it('judges again before it composes, and only the newest judging counts', async () => {
    const { engine, asked, judged, view } = open();
    engine.change({ minutes: 60 }, { judges: true });
    engine.change({ minutes: 50 }, { judges: true });
    judged[1]!.answer(done(view.prepared));
    await settle();
    judged[0]!.answer(done(view.prepared));
    await settle();
    expect(judged.map(({ wishes }) => wishes.minutes)).toEqual([60, 50]);
    // Once for the beginning, once for the fifty minutes.
    expect(
      asked.map(({ question }) => question.kind === 'compose' && question.wishes.minutes),
    ).toEqual([view.wishes.minutes, 50]);
  });

  it('goes back to what was wished before when nobody can be judged for the new wish', async () => {
    const { engine, asked, judged, told, now, view } = open({ isKept: true });
    engine.change({ minutes: 11 }, { judges: true });
    expect(now().wishes.minutes).toBe(11);
    judged[0]!.answer(refuse({ minutes: 'Too short.' }));
    await settle();
    expect(now()).toMatchObject({ wishes: { minutes: view.wishes.minutes }, canUndo: false });
    expect(told).toEqual(['Too short.']);
    expect(asked).toEqual([]);
  });

  it('undoes step by step, and an answer on its way does not redo it', async () => {
    const { engine, asked, judged, now, view } = open({ isKept: true });
    engine.change({ rounds: 2 });
    engine.change({ minutes: 40 }, { judges: true });
    engine.undo();
    judged[0]!.answer(done(view.prepared));
    await settle();
    expect(now().wishes).toMatchObject({ rounds: 2, minutes: view.wishes.minutes });
    engine.undo();
    expect(now()).toMatchObject({ wishes: { rounds: view.wishes.rounds }, canUndo: false });
    const before = asked.length;
    engine.undo();
    expect(asked).toHaveLength(before);
  });

  it('keeps one plan after the other, each on the revision before, and leaves out what is overtaken', async () => {
    const { engine, asked, kept, plan, view } = open();
    const finish = (note: string) => {
      asked.at(-1)!.answer({ kind: 'done', plan: named(plan, note) });
      engine.again();
    };
    finish('first');
    finish('second');
    finish('third');
    expect(kept).toHaveLength(1);
    kept[0]!.answer(done({ revision: view.revision + 1 }));
    await settle();
    expect(kept.map((one) => [one.plan.notes[0], one.seen])).toEqual([
      ['first', view.revision],
      ['third', view.revision + 1],
    ]);
  });

  it('says when a plan could not be kept, and stops with the best there is', async () => {
    const { engine, asked, kept, told, now, plan } = open();
    asked[0]!.answer({ kind: 'quick', milliseconds: 1, plan: named(plan, 'quick') });
    engine.stop();
    expect(asked[0]!.isOver).toBe(true);
    expect(now().status).toBe('stopped');
    expect(kept[0]!.plan.notes).toEqual(['quick']);
    kept[0]!.answer(refuse({ form: 'Another window has kept a plan.' }));
    await settle();
    expect(told).toEqual(['Another window has kept a plan.']);
    expect(now().keeping).toBe('refused');
  });

  it('says it once of a wish, however often its proof is refused', async () => {
    const { asked, kept, told, now, plan } = open();
    asked[0]!.answer({ kind: 'proved', milliseconds: 1, plan: named(plan, 'proved') });
    expect(now().keeping).toBe('coming');
    kept[0]!.answer(refuse({ form: 'Another window.' }));
    await settle();
    asked[0]!.answer({ kind: 'done', plan: named(plan, 'done') } as ComposeAnswer);
    kept[1]!.answer(refuse({ form: 'Another window.' }));
    await settle();
    expect(told).toEqual(['Another window.']);
    expect(now()).toMatchObject({ status: 'done', keeping: 'refused' });
  });

  it('takes over what another screen has kept for the same wishes, and asks no further', async () => {
    const { engine, asked, kept, told, now, plan, view } = open();
    asked[0]!.answer({ kind: 'proved', milliseconds: 1, plan: named(plan, 'mine') });
    kept[0]!.answer(done({ revision: view.revision + 2, plan: named(plan, 'theirs') }));
    await settle();
    expect(now()).toMatchObject({ status: 'kept', keeping: 'kept', plan: { notes: ['theirs'] } });
    expect(asked[0]!.isOver).toBe(true);
    expect(told).toEqual([]);
    // What is wished next stands on theirs.
    engine.change({ rounds: 2 });
    asked[1]!.answer({ kind: 'done', plan: named(plan, 'next') } as ComposeAnswer);
    expect(kept[1]!.seen).toBe(view.revision + 2);
  });

  it('stays with the newer wish where another screen has kept the older one', async () => {
    const { engine, asked, kept, now, plan, view } = open();
    asked[0]!.answer({ kind: 'proved', milliseconds: 1, plan: named(plan, 'mine') });
    engine.change({ rounds: 2 });
    kept[0]!.answer(done({ revision: view.revision + 2, plan: named(plan, 'theirs') }));
    await settle();
    expect(now()).toMatchObject({ status: 'starting', keeping: 'coming' });
    expect(asked[1]!.isOver).toBe(false);
  });

  it('keeps once more what no answer came for', async () => {
    const { engine, asked, kept, fail, told, now, plan, view } = open();
    asked[0]!.answer({ kind: 'done', plan: named(plan, 'made') } as ComposeAnswer);
    fail();
    await settle();
    expect(now().keeping).toBe('lost');
    expect(told).toHaveLength(1);
    engine.keepAgain();
    expect(now().keeping).toBe('coming');
    kept[1]!.answer(done({ revision: view.revision + 1 }));
    await settle();
    expect(now().keeping).toBe('kept');
  });

  it('draws nothing anew where a plan is only known better, and only what changed where it changed', () => {
    const { asked, plan, now } = open();
    const came = (more: Partial<PlanFile> = {}) => ({ ...structuredClone(plan), ...more });
    asked[0]!.answer({ kind: 'quick', milliseconds: 1, plan: came({ gapPercent: 4 }) });
    const drawn = now().picture;
    asked[0]!.answer({ kind: 'proved', milliseconds: 2, plan: came({ gapPercent: 0.5 }) });
    expect(now().plan?.gapPercent).toBe(0.5);
    expect(now().picture).toBe(drawn);
    const [first, ...others] = came().rounds;
    const one = { ...first!, people: first!.people.map((who) => ({ ...who, label: 'Elsewhere' })) };
    asked[0]!.answer({ kind: 'done', plan: came({ rounds: [one, ...others] }) });
    const { picture } = now();
    expect(picture?.rounds[0]!.people[0]!.label).toBe('Elsewhere');
    expect(picture?.rounds[1]).toBe(drawn!.rounds[1]);
    expect(picture?.timeline).toBe(drawn!.timeline);
  });

  it('judges anew, and whoever stays as they were stays the same', async () => {
    const { engine, judged, view, now } = open({ isKept: true });
    engine.change({ minutes: 60 }, { judges: true });
    const [first, second, ...people] = structuredClone(view.prepared.people);
    const other = { ...first!, options: first!.options.slice(1) };
    const prepared = { ...structuredClone(view.prepared), people: [other, second!, ...people] };
    judged[0]!.answer(done(prepared));
    await settle();
    expect(now().prepared).toEqual(prepared);
    expect(now().prepared.people[0]).not.toBe(view.prepared.people[0]);
    expect(now().prepared.people[1]).toBe(view.prepared.people[1]);
  });

  it('ends its worker with the screen', () => {
    const { engine, asked, shown } = open();
    const before = shown.length;
    engine.end();
    engine.again();
    expect(asked[0]!.isOver).toBe(true);
    expect(shown).toHaveLength(before);
  });
});
