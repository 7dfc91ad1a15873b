'use client';

import { Button, NativeSelect } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { WishesFile } from '@/core/files/classFile';
import { toWishes } from '@/core/files/toWishes';
import type { PlanFile } from '@/core/files/planFile';
import type { ClassMember } from '@/server/judging/classViews';
import { beginComposer, type Composer } from '@/features/evening/composer';
import type { ComposeQuestion } from '@/workers/compose.worker';
import { shortNames } from '@/features/evening/names';
import type { Planner } from './usePlanner';
import classes from './plan.module.css';

/** What the other plan has otherwise. */
const others = {
  helper: {
    label: 'with one helper more',
    of: (w: WishesFile) => ({ ...w, helpers: Math.min(6, w.helpers + 1) }),
  },
  alone: { label: 'without any helper', of: (w: WishesFile) => ({ ...w, helpers: 0 }) },
  longer: {
    label: 'ten minutes longer',
    of: (w: WishesFile) => ({ ...w, minutes: w.minutes + 10 }),
  },
  shorter: {
    label: 'ten minutes shorter',
    of: (w: WishesFile) => ({ ...w, minutes: Math.max(5, w.minutes - 10) }),
  },
  round: {
    label: 'one round more',
    of: (w: WishesFile) => ({ ...w, rounds: Math.min(6, w.rounds + 1) }),
  },
  free: { label: 'without my pins', of: (w: WishesFile) => ({ ...w, pins: [] }) },
} as const;

type Other = keyof typeof others;

/** The other plan, and what it is another one of: what was composed for other wishes says nothing here. */
interface Found extends Pick<Planner, 'wishes' | 'prepared'> {
  readonly which: Other;
  readonly plan: PlanFile;
}

interface ComparePanelProps extends Pick<Planner, 'wishes' | 'prepared'> {
  readonly plan: PlanFile;
  readonly members: readonly ClassMember[];
}

/** The plan beside another one: who would do something else, and what it would be worth. */
export function ComparePanel({ plan, wishes, prepared, members }: ComparePanelProps) {
  const [which, setWhich] = useState<Other>('helper');
  const [found, setFound] = useState<Found | null>(null);
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const composer = useRef<Composer | null>(null);
  useEffect(() => () => composer.current?.end(), []);
  const names = shortNames(members);

  const compose = () => {
    composer.current?.end();
    const own = beginComposer();
    composer.current = own;
    setBusy(true);
    setProblem('');
    const question: ComposeQuestion = {
      kind: 'compose',
      prepared,
      wishes: toWishes(others[which].of(wishes)),
      before: {},
      withBinding: false,
    };
    own.ask(question, (answer) => {
      if (answer.kind === 'proved') setFound({ which, plan: answer.plan, wishes, prepared });
      if (answer.kind === 'failed') setProblem(answer.words);
      if (answer.kind !== 'proved' && answer.kind !== 'failed') return;
      own.end();
      setBusy(false);
    });
  };

  return (
    <section className={classes.compare} aria-label="Compare two plans">
      <h2>Compare</h2>
      <div className={classes.compareAsk}>
        <NativeSelect
          aria-label="The other plan"
          size="sm"
          value={which}
          data={Object.entries(others).map(([value, { label }]) => ({ value, label }))}
          onChange={({ currentTarget: { value } }) => setWhich(value as Other)}
        />
        <Button size="sm" variant="default" loading={isBusy} onClick={compose}>
          Compose beside
        </Button>
      </div>
      {problem !== '' && <p role="alert">{problem}</p>}
      {found !== null && found.wishes === wishes && found.prepared === prepared && (
        <Differences
          now={plan}
          other={found.plan}
          words={others[found.which].label}
          names={names}
        />
      )}
    </section>
  );
}

interface DifferencesProps {
  readonly now: PlanFile;
  readonly other: PlanFile;
  readonly words: string;
  readonly names: ReadonlyMap<string, string>;
}

/** How much better or less the other plan is for the class, as far as that is proved. */
function sayDifference(now: PlanFile, other: PlanFile): string {
  const difference = other.objective - now.objective;
  const unsure = Math.max(now.bound - now.objective, other.bound - other.objective);
  if (Math.abs(difference) <= unsure + 1e-6) {
    return 'cannot tell, the two are nearer to each other than what is proved of them';
  }
  const percent = Math.abs((100 * difference) / now.objective);
  const much = Number.isFinite(percent) ? `${percent.toFixed(1)} % ` : '';
  return difference > 0 ? `${much}better for the class` : `${much}less for the class`;
}

function Differences({ now, other, words, names }: DifferencesProps) {
  const ids = now.rounds[0]?.people.map(({ id }) => id) ?? [];
  const eveningOf = (plan: PlanFile, id: string) =>
    plan.rounds.map(({ people }) => people.find((one) => one.id === id)?.label ?? 'Out');
  const short = (labels: readonly string[]) =>
    [...new Set(labels)].length === 1 ? labels[0] : labels.join(' → ');
  const lines = ids.flatMap((id) => {
    const [a, b] = [short(eveningOf(now, id)), short(eveningOf(other, id))];
    return a === b ? [] : [{ id, a, b }];
  });
  return (
    <>
      <p>
        {words}: {sayDifference(now, other)}. Whoever gets least has{' '}
        {Math.round(100 * other.leastShare)} % of the best there could be for them alone; now{' '}
        {Math.round(100 * now.leastShare)} %.
      </p>
      {lines.length === 0 ? (
        <p className={classes.quiet}>Everybody would do the same.</p>
      ) : (
        <table className={classes.ledger}>
          <thead>
            <tr>
              <th scope="col">Who</th>
              <th scope="col">now</th>
              <th scope="col">{words}</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ id, a, b }) => (
              <tr key={id}>
                <th scope="row">{names.get(id) ?? id}</th>
                <td className={classes.words}>{a}</td>
                <td className={classes.words}>{b}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
