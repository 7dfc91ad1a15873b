'use client';

import { answered } from '@/design/answered';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { placeByWordAction } from '@/features/people/actions';
import { ShowMove } from '@/design/atlas/ShowMove';
import { PictureView } from '@/design/drawing/SceneView';
import { LinkButton } from '@/design/LinkButton';
import { showProblems } from '@/design/notices';
import { PiecePicture } from '@/features/room/PiecePicture';
import type { PlacingPerson, PlacingRung, PlacingView } from './read';
import { stepHref } from './steps';
import classes from './beginning.module.css';

interface PlacingStepProps {
  readonly view: PlacingView;
  readonly courseId: number;
}

type Said = Readonly<Record<number, PlacingPerson['said']>>;

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
  const rungs = view.rungs[family];
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
      <div className={classes.placing}>
        <table>
          <thead>
            <tr>
              <th scope="col">{open === 0 ? 'Everybody is placed' : `${open} to go`}</th>
              <th scope="col" title="Nothing of this family was seen yet">
                <span className={classes.never}>never seen</span>
              </th>
              {rungs.map(({ stage, label, how, move, ...drawn }) => (
                <th key={stage} scope="col" title={move === null ? `${label}. ${how}` : undefined}>
                  {move === null ? (
                    <RungHead label={label} {...drawn} />
                  ) : (
                    <ShowMove drawn={{ move }} label={label} how={how} className={classes.rungHead}>
                      <RungHead label={label} {...drawn} />
                    </ShowMove>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.people.map((person) => (
              <tr key={person.id}>
                <th scope="row">{person.name}</th>
                {[null, ...rungs.map(({ stage }) => stage)].map((stage) => {
                  const label =
                    stage === null
                      ? 'never seen'
                      : rungs.find((rung) => rung.stage === stage)!.label;
                  return (
                    <td key={stage ?? 'never'}>
                      <input
                        type="radio"
                        name={`placing-${person.id}-${family}`}
                        aria-label={`${person.name}: ${label}`}
                        title={label}
                        checked={said[person.id]?.[family] === stage}
                        disabled={stage !== null && person.closed.includes(stage)}
                        onChange={() => void say(person, stage)}
                      />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <LinkButton href={stepHref('class', courseId)} size="md">
        On to the first class
      </LinkButton>
    </>
  );
}

function RungHead({ label, picture, pieces }: Pick<PlacingRung, 'label' | 'picture' | 'pieces'>) {
  return (
    <>
      {picture && <PictureView picture={picture} label="" />}
      {pieces.length > 0 && (
        <span className={classes.with}>
          {pieces.map(({ piece, spec }) => (
            <PiecePicture key={piece} piece={piece} spec={spec} />
          ))}
        </span>
      )}
      <span>{label}</span>
    </>
  );
}
