'use client';

import { checkFirstOf } from '@/core/setups/setup';
import { Select } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { PickOne } from '@/design/Picker';
import { useMemo, useState } from 'react';
import { lengthTable } from '@/core/body/lengths';
import { listKinds, pieceIds, specOf, type PieceId } from '@/core/catalog/pieces';
import { profileIds, profileTable, type ProfileId, settingsOf } from '@/core/catalog/profiles';
import { drawTopView } from '@/core/drawing/topView';
import type { ShapeId } from '@/core/shapes/postures';
import { getSetup, setupIds, type SetupId } from '@/core/setups/registry';
import type { SetupInput } from '@/core/setups/setup';
import { getShape } from '@/core/shapes/registry';
import { formatFigure, formatLength, sayIn, type LengthUnits } from '@/core/units/length';
import type { BenchPerson } from '@/server/judging/views';
import { SceneView } from '@/design/drawing/SceneView';
import { KeepDistance } from './KeepDistance';
import { sayLayers } from './stackWords';
import classes from './bench.module.css';

interface RecipePanelProps {
  /** The person's own, or a body nobody has entered: lengths, ranges, what was found by trying. */
  readonly input: SetupInput;
  readonly shape: ShapeId;
  readonly person: BenchPerson | null;
  readonly units: LengthUnits;
}

const recipeChoices = setupIds.map((id) => ({ value: id, label: getSetup(id).label }));
const profileChoices = profileIds.map((id) => ({ value: id, label: profileTable[id].label }));
const fallback: SetupId = 'forearm-kick';

/** A measured set-up for this body, this profile and the pieces at hand; change any of them. */
export function RecipePanel({ input, shape, person, units }: RecipePanelProps) {
  const { body, profile, pieces } = input;
  const [recipe, setRecipe] = useState<SetupId>(getShape(shape).setups[0] ?? fallback);
  const [school, setSchool] = useState<ProfileId>(profile);
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(pieces.map(({ piece, count }) => [piece, count])),
  );
  const spec = getSetup(recipe);
  const result = useMemo(() => {
    const known = listKinds([...pieceIds.map((piece) => ({ piece, count: 0 })), ...pieces]);
    const atHand = known.map((one) => ({ ...one, count: counts[one.piece] ?? 0 }));
    // Another profile than the course's has its own shipped figures.
    const { settings, ...rest } = input;
    const own = school === profile && settings !== undefined ? { settings } : {};
    return spec.solve({ ...rest, ...own, profile: school, pieces: atHand });
  }, [spec, input, profile, school, counts, pieces]);
  const checkFirst = checkFirstOf(
    spec,
    (school === profile ? input.settings : undefined) ?? settingsOf(profileTable[school]),
    result.distances,
  );
  const top = drawTopView({
    body,
    recipe,
    distances: result.distances,
    units,
    ...(result.spacer ? { spacer: result.spacer } : {}),
  });
  const shown = listKinds(pieces);
  const setCount = (id: PieceId, count: number) =>
    setCounts((old) => ({ ...old, [id]: Math.max(0, Math.floor(count)) }));

  return (
    <section aria-label="Set-up" className={classes.panel}>
      <div className={classes.panelHead}>
        <h2>Set-up for this body</h2>
      </div>
      <div className={classes.pair}>
        <PickOne
          label="Set-up"
          data={recipeChoices}
          value={recipe}
          onChange={(value) => value !== null && setRecipe(value as SetupId)}
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
                <strong>{distance.label}</strong> {distance.found && <em>found by trying </em>}
                <span className={classes.hint}>
                  {distance.mark}
                  {distance.drivers.length > 0 &&
                    distance.lowM >= 0 &&
                    ` (${formatFigure(distance.lowM, units)} to ${formatFigure(distance.highM, units)})`}
                </span>
                <details className={classes.hint}>
                  <summary>Why?</summary>
                  {sayIn(distance.why, units)}.{' '}
                  {distance.drivers.length > 0 &&
                    `Inputs: ${distance.drivers
                      .slice(0, 4)
                      .map(
                        ({ length }) =>
                          `${lengthTable[length].label.split(',')[0]!.toLowerCase()} ${formatLength(body.lengths[length], units)} (${body.basis[length]})`,
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
          Stack, from below: {sayLayers(result.stack.layers)}:{' '}
          {formatLength(result.stack.heightM!, units)} with weight on it.
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
          {sayIn(sentence, units)}
        </p>
      ))}
      {person && (
        <KeepDistance
          key={recipe}
          person={person}
          setup={recipe}
          distances={result.distances}
          units={units}
        />
      )}
      <p>
        <strong>Before weight goes on:</strong>{' '}
        {checkFirst.length === 0 ? 'nothing is laid out' : checkFirst.join('; ')}.{' '}
        <strong>Assist:</strong> {spec.assist}. <strong>Way out:</strong> {spec.exit}.
      </p>
      <details>
        <summary>Pieces at hand</summary>
        <div className={classes.pieces}>
          {shown.map((one) => (
            <NumberField
              key={one.piece}
              size="xs"
              label={specOf(one).label}
              min={0}
              max={200}
              value={counts[one.piece] ?? 0}
              onNumber={(count) => setCount(one.piece, count)}
            />
          ))}
        </div>
      </details>
    </section>
  );
}
