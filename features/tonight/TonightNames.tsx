'use client';

import { Button, Loader } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { painPlaces, painPlaceTable } from '@/core/catalog/regions';
import type { WishesFile } from '@/core/files/classFile';
import { sayPlanChanges } from '@/core/files/planChanges';
import type { PlanFile } from '@/core/files/planFile';
import { browserParts } from '@/features/plan/browserParts';
import { beginPlanner } from '@/features/plan/beginPlanner';
import type { PlannerEngine } from '@/features/plan/plannerEngine';
import { LazyMenu, type MenuEntry } from '@/design/LazyMenu';
import { showProblem, showProblems } from '@/design/notices';
import { comingFor, sayComing } from '@/features/evening/comingFor';
import classes from './tonight.module.css';

interface TonightNamesProps {
  readonly courseId: number;
  readonly day: string;
  readonly wishes: WishesFile;
  readonly revision: number;
  readonly plan: PlanFile;
  readonly members: readonly { readonly id: string; readonly name: string }[];
}

/** What is marked of somebody, without a word of why. */
function markOf({ absent, late, sore, feetDown }: WishesFile, id: string): string {
  if (absent.includes(id)) return 'away';
  const from = late.find(({ person }) => person === id)?.round;
  const spared = sore.some(({ person }) => person === id) || feetDown.includes(id);
  return [from === undefined ? '' : sayComing(from), spared ? 'spared' : '']
    .filter((words) => words !== '')
    .join(', ');
}

const others = (ids: readonly string[], id: string) => ids.filter((one) => one !== id);

/** Who is away, late or sore, said on tonight's own names; the answer is what that changes. */
export function TonightNames({ courseId, day, plan, members, ...start }: TonightNamesProps) {
  const router = useRouter();
  const planner = useRef<Promise<PlannerEngine | null> | null>(null);
  /** What was said here; absent: what the page came with stands. */
  const [said, setSaid] = useState<WishesFile | null>(null);
  const wishes = said ?? start.wishes;
  const [isBusy, setBusy] = useState(false);
  const [changes, setChanges] = useState<readonly string[] | null>(null);
  // The page is read anew when the plan is kept; the names of whoever is here stay.
  const names = useRef(new Map(members.map(({ id, name }) => [id, name])));
  /** The engine, begun when a name is first opened: most evenings nothing is said. */
  const begin = () => (planner.current ??= beginOnce().catch(failed));
  const failed = () => {
    planner.current = null;
    setBusy(false);
    showProblem('That could not be worked out. Try again.');
    return null;
  };
  const beginOnce = async () => {
    const parts = browserParts(courseId, day);
    const made = await beginPlanner(
      // As the page is now: it may have been read anew since it was opened.
      { ...start, kept: plan },
      {
        ...parts,
        keep: async (one, seen) => {
          const outcome = await parts.keep(one, seen);
          if (outcome.ok) router.refresh();
          return outcome;
        },
      },
    );
    if (!made.ok) {
      showProblems(made.problems);
      planner.current = null;
      return null;
    }
    made.value.start((state) => {
      setSaid(state.wishes);
      setBusy(state.status === 'starting' || state.status === 'proving');
      const isKnown = state.status === 'asking' || state.status === 'done';
      if (isKnown && state.plan !== null && state.stood !== null) {
        setChanges(sayPlanChanges(state.stood, state.plan, (id) => names.current.get(id) ?? id));
      }
    });
    return made.value;
  };
  useEffect(
    () => () => {
      void planner.current?.then((engine) => engine?.end());
    },
    [],
  );
  const say = async (patch: Partial<WishesFile>) => {
    setBusy(true);
    setSaid({ ...wishes, ...patch });
    const engine = await begin();
    if (engine === null) setBusy(false);
    else engine.change(patch, { keeps: true });
  };
  const without = <T extends { readonly person: string }>(list: readonly T[], id: string) =>
    list.filter(({ person }) => person !== id);
  /** What can be said of somebody tonight. */
  const entriesFor = (id: string): MenuEntry[] => {
    const isDown = wishes.feetDown.includes(id);
    const told = (label: string, patch: Partial<WishesFile>): MenuEntry => ({
      kind: 'do',
      label,
      onClick: () => void say(patch),
    });
    return [
      ...(markOf(wishes, id) === ''
        ? []
        : [
            told('Comes, as usual', {
              absent: others(wishes.absent, id),
              late: without(wishes.late, id),
              sore: without(wishes.sore, id),
              feetDown: others(wishes.feetDown, id),
            }),
          ]),
      told('Away', { absent: [...others(wishes.absent, id), id] }),
      ...comingFor(plan).map(({ round, words }) =>
        told(`Late: ${words}`, {
          absent: others(wishes.absent, id),
          late: [...without(wishes.late, id), { person: id, round }],
        }),
      ),
      told(isDown ? 'Feet may leave the floor' : 'Feet stay down', {
        feetDown: isDown ? others(wishes.feetDown, id) : [...wishes.feetDown, id],
      }),
      { kind: 'heading', label: 'Something is sore' },
      ...painPlaces.map((place) =>
        told(painPlaceTable[place].label, {
          sore: [
            ...wishes.sore.filter((one) => one.person !== id || one.place !== place),
            { person: id, place },
          ],
        }),
      ),
    ];
  };
  return (
    <section aria-label="Who comes" className={classes.coming}>
      <ul>
        {members.map(({ id, name }) => {
          const mark = markOf(wishes, id);
          return (
            <li key={id}>
              <LazyMenu
                onOpen={() => void begin()}
                entries={() => entriesFor(id)}
                target={(props) => (
                  <Button {...props} size="compact-md" variant={mark === '' ? 'default' : 'light'}>
                    {name}
                    {mark === '' ? '' : `: ${mark}`}
                  </Button>
                )}
              />
            </li>
          );
        })}
      </ul>
      <div role="status">
        {isBusy && (
          <p>
            <Loader size="xs" /> Working out what this changes
          </p>
        )}
        {!isBusy && changes !== null && (
          <p>
            <strong>This changes: </strong>
            {changes.length === 0 ? 'nothing.' : changes.join(' ')}
          </p>
        )}
      </div>
    </section>
  );
}
