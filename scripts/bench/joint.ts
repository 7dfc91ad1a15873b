/**
 * Drills first and rounds after, or both at once? Drills reach the rounds only through what they
 * leave of everybody's reserves. With nobody ever tired or cold the rounds are worth the most that
 * any choice of drills could leave them, so the difference bounds what solving both at once can gain.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import loadHighs, { type Highs } from 'highs';
import { ladderIds } from '@/core/catalog/stage';
import { poseClass } from '@/core/compose/pose';
import { prepareClass, type PreparedClass, type Wishes } from '@/core/compose/prepared';
import { solveRounds, usualSolve } from '@/core/compose/solve';
import { inventClass } from '@/core/testing/inventClass';
import { toWishes } from '@/core/files/toWishes';
import { seedDemo } from '@/demo/course';
import { prepareAgain } from '@/features/plan/change';
import { readClass, type ClassView } from '@/server/judging/classViews';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { print } from './timing';

/** An evening of each family with the people of the made-up course: some are much harder to prove. */
function benchFamilies(highs: Highs, view: ClassView): void {
  const proofs = ladderIds.map((family) => {
    const answer = prepareAgain(view.course.id, { ...view.wishes, families: [family] });
    if (!answer.ok) throw new Error(`No ${family} evening.`);
    const { problem } = poseClass(highs, answer.value, toWishes(view.wishes));
    const start = process.hrtime.bigint();
    const { gapPercent } = solveRounds(highs, problem, usualSolve);
    return { family, gapPercent, ms: Number(process.hrtime.bigint() - start) / 1e6 };
  });
  print({
    name: `Proved rounds, ${view.members.length} people, the slowest of ${proofs.length} families`,
    median: Math.max(...proofs.map(({ ms }) => ms)),
    unit: 'ms',
    target: 3000,
  });
  console.log(
    `  each: ${proofs.map(({ family, ms, gapPercent }) => `${family} ${Math.round(ms)} ms, ${gapPercent.toFixed(2)} %`).join('; ')}`,
  );
}

export async function benchJoint(): Promise<void> {
  const highs = await loadHighs();
  const measure = (name: string, prepared: PreparedClass, wishes: Wishes) => {
    const { problem, drills } = poseClass(highs, prepared, wishes);
    const inTurn = solveRounds(highs, problem, usualSolve);
    const untired = solveRounds(
      highs,
      {
        ...problem,
        people: problem.people.map(({ isBearable: _, ...person }) => ({
          ...person,
          mostAttempts: problem.rounds,
        })),
      },
      usualSolve,
    );
    const total = inTurn.objective + drills.value;
    const gain = Math.max(0, untired.bound - inTurn.objective);
    console.log(
      `${name.padEnd(40)} in turn ${total.toFixed(2)}, both at once at most ${(total + gain).toFixed(2)}: ${((100 * gain) / total).toFixed(1)} % more (gap ${inTurn.gapPercent.toFixed(2)} %)`,
    );
  };
  const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-bench-'));
  process.env.LEVITAR_DATA = folder;
  seedDemo(database(), today());
  const view = readClass(null)!;
  measure('The made-up course', view.prepared, toWishes(view.wishes));
  benchFamilies(highs, view);
  rmSync(folder, { recursive: true, force: true });
  for (const seed of [6, 17, 29]) {
    const { input, wishes: usual } = inventClass(seed, 14);
    const wishes: Wishes = { ...usual, minutes: 75, rounds: 3, helpers: 1 };
    measure(`Generated class ${seed}, 14 people`, prepareClass({ ...input, ...wishes }), wishes);
  }
}
