import { Fragment } from 'react';
import { poseStage, type DrawnStage } from '@/core/drawing/stageSide';
import type { SetupInput, SetupResult } from '@/core/setups/setup';
import { beyondSentences } from '@/core/shapes/posed';
import { formatLength, sayIn, type LengthUnits } from '@/core/units/length';

interface SetupFiguresProps {
  readonly input: SetupInput;
  readonly stage: DrawnStage;
  readonly result: SetupResult;
  readonly units: LengthUnits;
  readonly listClass: string | undefined;
  readonly noteClass: string | undefined;
}

/** What is measured of a set-up, what to know with it, and where it asks more than was measured. */
export function SetupFigures(props: SetupFiguresProps) {
  const { input, stage, result, units, listClass, noteClass } = props;
  const { distances, cautions, notes } = result;
  return (
    <>
      <dl className={listClass}>
        {distances.map(({ id, label, metres, basis, found }) => (
          <Fragment key={id}>
            <dt>{label}</dt>
            <dd>
              {basis === 'estimated' ? '~' : ''}
              {metres < 0 ? 'none' : formatLength(metres, units)}
              {found === undefined ? '' : ', found by trying'}
            </dd>
          </Fragment>
        ))}
      </dl>
      {[...cautions, ...notes, ...listBeyond(input, stage, result)].map((sentence) => (
        <p key={sentence} className={noteClass}>
          {sayIn(sentence, units)}
        </p>
      ))}
    </>
  );
}

/** Where the shape asks more of shoulders or legs than was measured, in sentences. */
export function listBeyond(
  input: SetupInput,
  stage: DrawnStage,
  result: SetupResult | null,
): string[] {
  const loads = poseStage(input, stage, result)?.loads;
  return loads ? beyondSentences(loads) : [];
}
