'use client';

import { answered } from '@/design/answered';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import { useState } from 'react';
import { listKinds, pieceIds, specOf, type PieceCount } from '@/core/catalog/pieces';
import { changeCupboardAction, tellTonightAction } from './actions';
import type { RoomView } from './read';
import { CountField } from '@/design/CountField';
import { showProblems } from '@/design/notices';
import { PiecePicture } from './PiecePicture';
import type { TonightChange } from './tonight';
import { TonightLine } from './TonightLine';
import classes from './room.module.css';

interface Line {
  readonly count: number;
  readonly worn: number;
}

const mostOfOne = 200;

/** What the shelves hold: counted quickly, kept at once. */
export function CupboardTable({ view }: { readonly view: RoomView }) {
  const [lines, setLines] = useState<Readonly<Record<string, Line>>>(() =>
    Object.fromEntries(view.cupboard.map(({ piece, count, worn }) => [piece, { count, worn }])),
  );
  const [tonight, setTonight] = useState<TonightChange | null>(null);
  const kinds: readonly PieceCount[] = listKinds([
    ...pieceIds.map((piece) => ({ piece, count: 0 })),
    ...view.own.map(({ piece, spec }) => ({
      piece: piece as PieceCount['piece'],
      count: 0,
      own: spec,
    })),
  ]);
  const keep = async (piece: string, change: Partial<Line>) => {
    const before = lines;
    const old = lines[piece] ?? { count: 0, worn: 0 };
    const count = Math.max(0, Math.min(mostOfOne, change.count ?? old.count));
    const worn = Math.max(0, Math.min(count, change.worn ?? old.worn));
    const next = { ...lines, [piece]: { count, worn } };
    setLines(next);
    const form = kinds.flatMap(({ piece: kind }) => {
      const line = next[kind];
      return line === undefined ? [] : [{ piece: kind, ...line }];
    });
    const outcome = await answered(changeCupboardAction(view.course.id, form));
    if (!outcome.ok) {
      setLines(before);
      showProblems(outcome.problems);
      return;
    }
    const told = await answered(tellTonightAction(view.course.id));
    if (told.ok) setTonight(told.value);
  };
  return (
    <>
      <TonightLine tonight={tonight} courseId={view.course.id} />
      <ul className={classes.cupboard} aria-label="The cupboard">
        {kinds.map((one) => {
          const { piece } = one;
          const spec = specOf(one);
          const line = lines[piece] ?? { count: 0, worn: 0 };
          return (
            <li key={piece} data-none={line.count === 0}>
              <PiecePicture piece={piece} spec={spec} />
              <div>
                <p>{spec.label}</p>
                <div className={classes.counter}>
                  <button
                    type="button"
                    aria-label={`One ${spec.label.toLowerCase()} fewer`}
                    disabled={line.count === 0}
                    onClick={() => keep(piece, { count: line.count - 1 })}
                  >
                    <IconMinus size={16} />
                  </button>
                  <CountField
                    label={`How many: ${spec.label}`}
                    count={line.count}
                    most={mostOfOne}
                    onKeep={(count) => void keep(piece, { count })}
                  />
                  <button
                    type="button"
                    aria-label={`One ${spec.label.toLowerCase()} more`}
                    disabled={line.count >= mostOfOne}
                    onClick={() => keep(piece, { count: line.count + 1 })}
                  >
                    <IconPlus size={16} />
                  </button>
                  {line.count > 0 && (
                    <CountField
                      label={`Of them worn or lent out: ${spec.label}`}
                      title="Worn or lent out, not for use tonight"
                      mark="−"
                      count={line.worn}
                      most={line.count}
                      onKeep={(worn) => void keep(piece, { worn })}
                    />
                  )}
                </div>
              </div>
            </li>
          );
        })}
      </ul>
    </>
  );
}
