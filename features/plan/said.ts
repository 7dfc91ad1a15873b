import { byLetter } from '@/core/compose/letters';
import type { CheckKey } from '@/core/catalog/checks';
import type { StageKey } from '@/core/catalog/stage';
import type { School } from '@/core/catalog/school';
import { sayMethod } from '@/core/catalog/taking';
import { findOption } from '@/core/compose/readBack';
import type { PreparedClass } from '@/core/compose/prepared';
import type { PlanFile } from '@/core/files/planFile';
import { sayAt, watchAt } from '@/core/ladder/eyeWords';

/** What the teacher says at a rung of this evening, and looks for there. */
interface SaidLine {
  readonly stage: StageKey;
  readonly label: string;
  /** Of the stations at which it is done. */
  readonly letters: readonly string[];
  readonly say: readonly string[];
  readonly watch: readonly string[];
}

export interface Said {
  /** What is said alike at several rungs, once. */
  readonly alike: readonly {
    readonly letters: readonly string[];
    readonly say: readonly string[];
  }[];
  /** What each rung has of its own, in the order in which they come. */
  readonly lines: readonly SaidLine[];
  /** How each check of the evening is taken, where its teacher said so. */
  readonly taken: Readonly<Partial<Record<CheckKey, string>>>;
}

/** Said at so many rungs, it is said once for all of them. */
const fewAlike = 3;

function lettersOf(plan: PlanFile, prepared: PreparedClass): Map<StageKey, string[]> {
  const letters = new Map<StageKey, string[]>();
  for (const { people } of plan.rounds) {
    for (const { id, option, letter } of people) {
      const stage = findOption(prepared, id, option)?.stage;
      if (stage === undefined) continue;
      const own = letters.get(stage) ?? [];
      letters.set(stage, letter === null || own.includes(letter) ? own : [...own, letter]);
    }
  }
  return letters;
}

/** What is said and looked for this evening: by the school's own cues and words for the eye. */
export function listSaid(plan: PlanFile, prepared: PreparedClass, school: School): Said {
  const rungs = [...lettersOf(plan, prepared)].flatMap(([stage, letters]): SaidLine[] => {
    const found = school.stages.get(stage);
    if (found === undefined) return [];
    const { label } = found.spec;
    return [{ stage, label, letters, say: sayAt(school, stage), watch: watchAt(school, stage) }];
  });
  const saidAt = (words: string) => rungs.filter(({ say }) => say.includes(words));
  const shared = [...new Set(rungs.flatMap(({ say }) => say))].filter(
    (words) => saidAt(words).length >= fewAlike,
  );
  const alike = new Map<string, { letters: string[]; say: string[] }>();
  for (const words of shared) {
    const letters = saidAt(words).flatMap((rung) => rung.letters);
    const key = letters.join(' ');
    const known = alike.get(key);
    if (known === undefined) alike.set(key, { letters: [...letters].sort(byLetter), say: [words] });
    else known.say.push(words);
  }
  return {
    alike: [...alike.values()],
    lines: rungs
      .map((rung) => ({ ...rung, say: rung.say.filter((words) => !shared.includes(words)) }))
      .filter(({ say, watch }) => say.length + watch.length > 0),
    taken: Object.fromEntries(
      plan.checks.flatMap(({ check }) => {
        const spec = school.checks.get(check)?.spec;
        const words = spec === undefined ? undefined : sayMethod(spec);
        return words === undefined ? [] : [[check, words]];
      }),
    ),
  };
}
