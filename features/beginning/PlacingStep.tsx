'use client';

import { answered } from '@/design/answered';
import { SegmentedControl } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { useState } from 'react';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { placeByWordAction } from '@/features/people/actions';
import { LinkButton } from '@/design/LinkButton';
import { phoneQuery } from '@/design/phone';
import { showProblems } from '@/design/notices';
import { PlacingTable } from './PlacingTable';
import { PlacingTiles } from './PlacingTiles';
import type { PlacingPerson, PlacingView } from './read';
import { stepHref } from './steps';

interface PlacingStepProps {
  readonly view: PlacingView;
  readonly courseId: number;
}

type Said = Readonly<Record<number, PlacingPerson['said']>>;

/** What table and tiles show of one ladder, and what they answer with. */
export interface PlacingProps {
  readonly view: PlacingView;
  readonly family: LadderId;
  readonly said: Said;
  /** How many are still to be placed on this ladder. */
  readonly open: number;
  /** @param stage `null`: never seen */
  readonly say: (person: PlacingPerson, stage: StageKey | null) => void;
}

/**
 * For each person and family, the shape that the teacher has seen them do in control. It is the
 * teacher's word of today: it opens nothing above it.
 */
export function PlacingStep({ view, courseId }: PlacingStepProps) {
  const [family, setFamily] = useState<LadderId>(view.families[0] ?? 'forearm-stand');
  const [said, setSaid] = useState<Said>(() =>
    Object.fromEntries(view.people.map(({ id, said: own }) => [id, own])),
  );
  const say = async (person: PlacingPerson, stage: StageKey | null) => {
    const before = said[person.id]?.[family];
    const note = (word: StageKey | null | undefined) =>
      setSaid((all) => ({ ...all, [person.id]: { ...all[person.id], [family]: word } }));
    note(stage);
    const outcome = await answered(placeByWordAction(person.id, { family, stage }));
    if (outcome.ok) return;
    // Only this one: others may have been said meanwhile.
    note(before);
    showProblems(outcome.problems);
  };
  const isPhone = useMediaQuery(phoneQuery, false);
  const open = view.people.filter(({ id }) => said[id]?.[family] === undefined).length;
  return (
    <>
      <p>
        Point at the shape you have seen each of them do in control. It is your word of today, and
        is shown so: it opens nothing above it, stands for no check of safety, and fades until it is
        seen.
      </p>
      <SegmentedControl
        value={family}
        onChange={(value) => setFamily(value as LadderId)}
        data={ladderIds.map((value) => ({ value, label: ladderTable[value].label }))}
      />
      {isPhone ? (
        <PlacingTiles {...{ view, family, said, open }} say={(...word) => void say(...word)} />
      ) : (
        <PlacingTable {...{ view, family, said, open }} say={(...word) => void say(...word)} />
      )}
      <LinkButton href={stepHref('class', courseId)} size="md">
        On to the first class
      </LinkButton>
    </>
  );
}
