'use client';

import { Spotlight, spotlight } from '@mantine/spotlight';
import '@mantine/spotlight/styles.css';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { answered } from '@/design/answered';
import { showProblems } from '@/design/notices';
import { listFindablesAction, listRecordablesAction } from './actions';
import { listDoings, type Doable } from './doings';
import type { Findable } from './find';
import { findAll } from '@/design/match';
import { furtherPages, places } from './places';

/** As many as can be looked over at a glance. */
const mostShown = 9;
const pages = [...places, ...furtherPages].map(({ href, label }) => ({
  href,
  label,
  group: 'Pages' as const,
}));
const groups = ['Pages', 'To do', 'People', 'Rungs', 'Set-ups', 'Bars'] as const;

/** What scrolls can be reached and has a name; the library's own types do not know of it. */
const asRegion = { viewportProps: { tabIndex: 0, 'aria-label': 'Found', role: 'region' } };

interface PaletteProps {
  readonly doable: Doable;
  readonly onClose: () => void;
}

/** A page, a person, a rung, a set-up, a bar or something to do, by the beginnings of its words or by initials. */
export function Palette({ doable, onClose }: PaletteProps) {
  const router = useRouter();
  // It is there for one page alone: the header takes it away with that.
  const path = usePathname();
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<readonly Findable[]>([]);
  useEffect(() => {
    spotlight.open();
    let isOver = false;
    const add = (outcome: Awaited<ReturnType<typeof listFindablesAction>>) => {
      if (isOver) return;
      if (outcome.ok) setFound((before) => [...before, ...outcome.value]);
      else showProblems(outcome.problems);
    };
    const names = 'People and rungs are not found just now: no answer came.';
    void answered(listFindablesAction(), names).then(add);
    const person = /^\/people\/(\d+)$/.exec(path)?.[1];
    if (person !== undefined) void answered(listRecordablesAction(Number(person)), names).then(add);
    return () => {
      isOver = true;
    };
  }, [path]);
  const toDo = listDoings(doable).map((one) => ({ ...one, group: 'To do' as const }));
  const always = [...pages, ...toDo];
  const shown = findAll([...always, ...found], typed, typed === '' ? always.length : mostShown);
  const listed = groups.map((group) => ({
    group,
    own: shown.filter((one) => one.group === group),
  }));
  const go = (one: (typeof shown)[number]) => ('run' in one ? one.run() : router.push(one.href));
  const list = useRef<HTMLDivElement>(null);
  // The library marks the first of what was listed before the last key; where that went, nothing is
  // marked, and Enter takes the first of what is listed now.
  const takeFirst = ({ key }: KeyboardEvent) => {
    const [first] = listed.flatMap(({ own }) => own);
    const isMarked = (list.current?.querySelector('[data-selected]') ?? null) !== null;
    if (key !== 'Enter' || typed === '' || first === undefined || isMarked) return;
    go(first);
    spotlight.close();
  };
  return (
    <Spotlight.Root
      query={typed}
      onQueryChange={setTyped}
      onSpotlightClose={onClose}
      shortcut={null}
      scrollable
      maxHeight="60vh"
      attributes={{ content: { 'aria-label': 'Find' } }}
    >
      <Spotlight.Search
        placeholder="A person, a rung, a set-up, a page, something to do"
        aria-label="Find"
        onKeyDown={takeFirst}
      />
      <Spotlight.ActionsList ref={list} {...asRegion}>
        {shown.length === 0 && <Spotlight.Empty>Nothing is called that.</Spotlight.Empty>}
        {listed.map(({ group, own }) =>
          own.length === 0 ? null : (
            <Spotlight.ActionsGroup key={group} label={group}>
              {own.map((one) => (
                <Spotlight.Action
                  key={`${group} ${one.label} ${'href' in one ? one.href : ''}`}
                  label={one.label}
                  onClick={() => go(one)}
                />
              ))}
            </Spotlight.ActionsGroup>
          ),
        )}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  );
}
