'use client';

import { NumberInput, Select } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Body } from '@/core/body/body';
import { lengthTable } from '@/core/body/lengths';
import { listKinds, pieceIds, specOf, type PieceCount, type PieceId } from '@/core/catalog/pieces';
import { profileIds, profileTable, type ProfileId } from '@/core/catalog/profiles';
import { drawTopView } from '@/core/drawing/topView';
import type { FamilyId } from '@/core/posture/families';
import { getRecipe, recipeIds, type RecipeId } from '@/core/setup/recipes';
import { recipesOf } from '@/core/setup/telling';
import { formatFigure, formatLength, type LengthUnits } from '@/core/units/length';
import { SceneView } from '@/ui/drawing/SceneView';
import classes from './bench.module.css';

interface RecipePanelProps {
  readonly body: Body;
  readonly family: FamilyId;
  readonly profile: ProfileId;
  readonly pieces: readonly PieceCount[];
  readonly units: LengthUnits;
}

const recipeChoices = recipeIds.map((id) => ({ value: id, label: getRecipe(id).label }));
const profileChoices = profileIds.map((id) => ({ value: id, label: profileTable[id].label }));
const faceWords = { flat: 'flat', side: 'on its side', end: 'on its end' } as const;
const fallback: RecipeId = 'forearm-kick';

/** A measured set-up for this body, this profile and the pieces at hand; change any of them. */
export function RecipePanel({ body, family, profile, pieces, units }: RecipePanelProps) {
  const [recipe, setRecipe] = useState<RecipeId>(recipesOf(family)[0] ?? fallback);
  const [school, setSchool] = useState<ProfileId>(profile);
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(pieces.map(({ piece, count }) => [piece, count])),
  );
  const spec = getRecipe(recipe);
  const result = useMemo(() => {
    const known = listKinds([...pieceIds.map((piece) => ({ piece, count: 0 })), ...pieces]);
    const atHand = known.map((one) => ({ ...one, count: counts[one.piece] ?? 0 }));
    return spec.solve({ body, profile: school, pieces: atHand });
  }, [spec, body, school, counts, pieces]);
  const top = drawTopView({
    body,
    recipe,
    distances: result.distances,
    units,
    ...(result.spacer ? { spacer: result.spacer } : {}),
  });
  const shown = listKinds(pieces);
  const setCount = (id: PieceId, value: string | number) =>
    setCounts((old) => ({ ...old, [id]: Math.max(0, Math.floor(Number(value) || 0)) }));

  return (
    <section aria-label="Set-up" className={classes.panel}>
      <div className={classes.panelHead}>
        <h2>Set-up for this body</h2>
      </div>
      <div className={classes.pair}>
        <Select
          label="Set-up"
          data={recipeChoices}
          value={recipe}
          onChange={(value) => value !== null && setRecipe(value as RecipeId)}
          allowDeselect={false}
          searchable
        />
        <Select
          label="Profile"
          data={profileChoices}
          value={school}
          onChange={(value) => value !== null && setSchool(value as ProfileId)}
          allowDeselect={false}
        />
      </div>
      {top && <SceneView scene={top} label={`${spec.label}, from above`} />}
      <table className={classes.recipe}>
        <tbody>
          {result.distances.map((distance) => (
            <tr key={distance.id}>
              <td className={classes.recipeFigure}>
                {distance.basis === 'estimated' ? '~' : ''}
                {distance.metres < 0 ? 'none' : formatLength(distance.metres, units)}
              </td>
              <td>
                <strong>{distance.label}</strong>{' '}
                <span className={classes.hint}>
                  {distance.mark}
                  {distance.drivers.length > 0 &&
                    distance.lowM >= 0 &&
                    ` (${formatFigure(distance.lowM, units)} to ${formatFigure(distance.highM, units)})`}
                </span>
                <details className={classes.hint}>
                  <summary>Why?</summary>
                  {distance.why}.{' '}
                  {distance.drivers.length > 0 &&
                    `Inputs: ${distance.drivers
                      .slice(0, 4)
                      .map(
                        ({ length }) =>
                          `${lengthTable[length].label.split(',')[0].toLowerCase()} ${formatLength(body.lengths[length], units)} (${body.basis[length]})`,
                      )
                      .join(', ')}.`}{' '}
                  Give or take {formatLength(distance.toleranceM, units)}.
                </details>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {result.stack?.found && (
        <p className={classes.note}>
          Stack, from below:{' '}
          {result.stack.layers
            .map(
              ({ count, face, isRefolded, ...one }) =>
                `${count} ${specOf(one).label.toLowerCase()} ${isRefolded ? 'folded once more' : faceWords[face]}`,
            )
            .join(', then ')}
          : {formatLength(result.stack.heightM!, units)} with weight on it.
        </p>
      )}
      {result.spacer && (
        <p className={classes.note}>
          {result.spacer.faces
            .map(
              ({ metres, ...one }) =>
                `${specOf(one).label.toLowerCase()} ${formatLength(metres, units)}`,
            )
            .join(' + ')}
          , off by {formatLength(Math.abs(result.spacer.errorM), units)}.
        </p>
      )}
      {[...result.cautions, ...result.notes].map((sentence) => (
        <p key={sentence} className={classes.note}>
          {sentence}
        </p>
      ))}
      <p>
        <strong>Before weight goes on:</strong> {spec.checkFirst.join('; ')}.{' '}
        <strong>Assist:</strong> {spec.assist}. <strong>Way out:</strong> {spec.exit}.
      </p>
      <details>
        <summary>Pieces at hand</summary>
        <div className={classes.pieces}>
          {shown.map((one) => (
            <NumberInput
              key={one.piece}
              size="xs"
              label={specOf(one).label}
              min={0}
              max={200}
              value={counts[one.piece] ?? 0}
              onChange={(value) => setCount(one.piece, value)}
            />
          ))}
        </div>
      </details>
    </section>
  );
}
