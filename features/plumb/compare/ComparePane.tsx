'use client';

import { answered } from '@/design/answered';
import { sayShortDay } from '@/design/days';
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import { resolveBody } from '@/core/body/body';
import { InputProblem } from '@/core/problem';
import { compareReadings, layDown } from '@/core/plumb/compare';
import { offerOfDrift } from '@/core/plumb/feeds';
import { getMeasure } from '@/core/plumb/measureTable';
import { figureAt } from '@/core/plumb/practice';
import { basePoint, readStill } from '@/core/plumb/still';
import { sayError, sayValue } from '@/core/plumb/words';
import { getShape } from '@/core/shapes/registry';
import { firstUp } from '@/core/units/words';
import { showProblems, showSaved } from '@/design/notices';
import { PrintButton } from '@/design/PrintButton';
import { deletePictureAction } from '../actions';
import { OfferList } from '../OfferList';
import { barIn } from '../Offers';
import { toStill } from '../sheet';
import type { PlumbView } from '../read';
import { LaidOver } from './LaidOver';
import classes from './compare.module.css';
import shared from '../plumb.module.css';

interface ComparePaneProps {
  readonly view: PlumbView;
}

type Kept = PlumbView['kept'][number];
const dayWords = (day: string) => sayShortDay(day);
const viewWords = {
  side: 'from the side',
  front: 'from the front',
  back: 'from the back',
} as const;

function labelOf({ on, sheet, hasPicture }: Kept): string {
  const what = sheet.shape === null ? viewWords[sheet.view] : getShape(sheet.shape).label;
  return `${dayWords(on)}: ${what}${hasPicture ? ', with picture' : ''}`;
}

/** What was kept, read anew with the body as it is known by now. */
function readKept(kept: Kept | undefined, view: PlumbView) {
  if (kept === undefined) return null;
  const input = toStill(kept.sheet, view.person.body, view.isOverKnuckle);
  if (input === null) return null;
  try {
    return { kept, reading: readStill(input) };
  } catch (error) {
    if (error instanceof InputProblem) return null;
    throw error;
  }
}

/** Two days of one person over each other, and over the figure that is computed for them. */
export function ComparePane({ view }: ComparePaneProps) {
  const router = useRouter();
  const [isBusy, start] = useTransition();
  const { person, kept, units } = view;
  const body = useMemo(() => resolveBody(person.body), [person.body]);
  const [picked, setPicked] = useState<{ before?: number | null; after?: number | null }>({});
  // The oldest and the newest, until somebody chooses: what was kept a moment ago may be on its way.
  const chosen = {
    before: kept.at(-1)?.id ?? null,
    after: kept.length > 1 ? (kept[0]?.id ?? null) : null,
    ...picked,
  };
  // What cannot be brought back is asked twice.
  const [asked, setAsked] = useState<number | null>(null);
  const [hasFigure, setFigure] = useState(true);
  const find = (id: number | null) => kept.find((one) => one.id === id);
  const before = readKept(find(chosen.before), view);
  const after = readKept(find(chosen.after), view);
  if (kept.length === 0) {
    return (
      <div className={shared.begin}>
        <h2>Nothing kept of {person.name} yet</h2>
        <p>
          Read a picture and keep its marks. With two of them, weeks apart, you see here what has
          changed; with one, how it lies over the computed figure.
        </p>
      </div>
    );
  }
  const first = before ?? after;
  const changes = before && after ? compareReadings(before.reading, after.reading) : [];
  // Before and after clasping: two pictures of one day, from the front or the back.
  const drift =
    before && after && before.kept.on === after.kept.on && before.kept.on === view.today
      ? offerOfDrift(before.reading, after.reading, { barOf: barIn(view) })
      : [];
  const remove = ({ id }: Kept) =>
    start(async () => {
      const outcome = await answered(deletePictureAction(person.id, id));
      if (!outcome.ok) {
        showProblems(outcome.problems);
        return;
      }
      showSaved(
        outcome.value.isErasePending
          ? 'Deleted; its traces on the disk follow at the next chance.'
          : 'Deleted, also on the disk.',
      );
      router.refresh();
    });
  const options = [
    { value: '', label: 'nothing' },
    ...kept.map((one) => ({ value: String(one.id), label: labelOf(one) })),
  ];
  const pick = (which: 'before' | 'after', label: string) => (
    <NativeSelect
      label={label}
      value={String(chosen[which] ?? '')}
      data={options}
      onChange={({ currentTarget: { value } }) =>
        setPicked({ ...picked, [which]: value === '' ? null : Number(value) })
      }
    />
  );
  const pictures = [
    { words: 'Before', kept: before?.kept },
    { words: 'After', kept: after?.kept },
  ].flatMap(({ words, kept: one }) => (one?.hasPicture === true ? [{ words, kept: one }] : []));
  return (
    <>
      <div className={classes.chosen}>
        {pick('before', 'Before')}
        {pick('after', 'After')}
        <Checkbox
          label="Over the computed figure"
          checked={hasFigure}
          onChange={({ currentTarget: { checked } }) => setFigure(checked)}
        />
        <PrintButton />
      </div>
      <div className={classes.compare}>
        <section
          aria-label="Laid over each other"
          className={classes.laid}
          data-pictures={pictures.length > 0}
        >
          <h2 className={shared.heading}>{person.name}</h2>
          <LaidOver
            before={before && layDown(before.kept.sheet, before.reading, body)}
            after={after && layDown(after.kept.sheet, after.reading, body)}
            figure={hasFigure && first !== null ? computed(first, body) : null}
            body={body}
            label={`Lines of ${person.name} over each other, on the same base`}
          />
          <p className={classes.key}>
            {[before, after].map((one, index) =>
              one === null ? null : (
                <span key={index}>
                  <svg width="38" height="10" viewBox="0 0 38 10" aria-hidden="true">
                    <line
                      x1="2"
                      x2="36"
                      y1="5"
                      y2="5"
                      className={index === 0 ? classes.before : classes.after}
                    />
                  </svg>{' '}
                  {index === 0 ? 'Before' : 'After'}, {dayWords(one.kept.on)}
                </span>
              ),
            )}
            {hasFigure && <span>pale: computed for this body</span>}
          </p>
          {pictures.length > 0 && (
            <div className={classes.pictures}>
              {pictures.map(({ words, kept: { id, on } }) => (
                <figure key={words}>
                  {/* oxlint-disable-next-line nextjs/no-img-element -- kept in this studio, never optimised elsewhere */}
                  <img src={`/plumb/picture/${id}`} alt={`${person.name} on ${dayWords(on)}`} />
                  <figcaption>
                    {words}, {dayWords(on)}
                  </figcaption>
                </figure>
              ))}
            </div>
          )}
        </section>
        <section aria-label="What changed">
          {changes.length > 0 ? (
            <table className={classes.table}>
              <thead>
                <tr>
                  <th scope="col">Line</th>
                  <th scope="col">
                    Before <small>{dayWords(before!.kept.on)}</small>
                  </th>
                  <th scope="col">
                    After <small>{dayWords(after!.kept.on)}</small>
                  </th>
                  <th scope="col">Change</th>
                </tr>
              </thead>
              <tbody>
                {changes.map(({ id, before: from, after: to, change, isClear }) => (
                  <tr key={id} data-clear={isClear}>
                    <th scope="row">{firstUp(getMeasure(id).label)}</th>
                    <td>{sayValue(from, units)}</td>
                    <td>{sayValue(to, units)}</td>
                    <td>
                      {isClear
                        ? sayValue(change, units)
                        : `unclear, ± ${sayError(change, units).replace('give or take ', '')}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p className={shared.note}>
              {before && after
                ? 'The two have no line in common: they were taken from different sides.'
                : 'Choose two days to see what changed.'}
            </p>
          )}
          <OfferList view={view} offers={drift} by="picture" faults={[]} />
          <h2 className={`${shared.heading} no-print`}>Kept</h2>
          <ul className={`${classes.list} no-print`}>
            {kept.map((one) => (
              <li key={one.id}>
                {labelOf(one)}{' '}
                {asked === one.id ? (
                  <>
                    <Button
                      size="compact-sm"
                      color="var(--lv-stop)"
                      loading={isBusy}
                      aria-label={`Delete ${labelOf(one)} for good`}
                      onClick={() => remove(one)}
                    >
                      Delete for good
                    </Button>{' '}
                    <Button size="compact-sm" variant="default" onClick={() => setAsked(null)}>
                      Keep it
                    </Button>
                  </>
                ) : (
                  <Button
                    size="compact-sm"
                    variant="default"
                    disabled={isBusy}
                    aria-label={`Delete ${labelOf(one)}`}
                    onClick={() => setAsked(one.id)}
                  >
                    Delete
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}

/** The person's own figure in the shape of a picture, at the wall where it was measured to be. */
function computed(
  { kept: { sheet }, reading }: NonNullable<ReturnType<typeof readKept>>,
  body: ReturnType<typeof resolveBody>,
) {
  if (sheet.shape === null || sheet.view !== 'side') return null;
  try {
    const { joints } = figureAt(body, sheet.shape, reading.measures.baseToWall?.value ?? null);
    return { joints, base: basePoint[sheet.base] };
  } catch (error) {
    if (error instanceof InputProblem) return null;
    throw error;
  }
}
