'use client';

import { LinkButton } from '@/design/LinkButton';
import { saveFile } from '@/design/saveFile';
import { Button, Group, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { IconCopy, IconDownload, IconPrinter } from '@tabler/icons-react';
import type { ShapeId } from '@/core/shapes/postures';
import { getShape } from '@/core/shapes/registry';
import { benchSheet, drawBench } from '@/core/drawing/bench';
import { drawStill } from '@/core/drawing/still';
import { toSvgFile } from '@/core/drawing/svg';
import { beyondSentences } from '@/core/shapes/posed';
import { getDials } from '@/core/shapes/values';
import { stillTable, type StillId } from '@/core/shapes/stills';
import { formatHeight, sayIn } from '@/core/units/length';
import type { BenchView } from '@/server/judging/views';
import { SceneView } from '@/design/drawing/SceneView';
import { showProblem, showSaved } from '@/design/notices';
import { writeAddress } from './address';
import { BenchCard } from './BenchCard';
import { BenchChoices, BenchDials } from './BenchChoices';
import { BenchDrawing } from './BenchDrawing';
import { sayValue } from './dialWords';
import { describeInputs, listFigures } from './figures';
import { LoadLadder } from './later';
import { MeasuringGuide } from './MeasuringGuide';
import { RecipePanel } from './RecipePanel';
import { SavedSetups } from './SavedSetups';
import { StackLine, useCupboardStack } from './StackLine';
import { benchInput, useBench, type BenchStart } from './useBench';
import classes from './bench.module.css';

interface BenchScreenProps {
  readonly view: BenchView;
  readonly start: BenchStart;
}

export function BenchScreen({ view, start }: BenchScreenProps) {
  const bench = useBench(view, start);
  const [still, setStill] = useState<StillId | null>(start.still);
  const { units } = view.settings;
  const { state, body, along, values, loads, ghost, problem } = bench;
  const { personId, heightM, shape } = state;
  useEffect(() => {
    // In place: a slider being dragged is no step to go back to.
    window.history.replaceState(null, '', writeAddress({ personId, heightM, shape, still }));
  }, [personId, heightM, shape, still]);
  const stack = useCupboardStack({ body, shape, values, pieces: view.pieces });
  // The panels below follow when the drawing has been served: a borrow search may take longer.
  const settledBody = useDeferredValue(body);
  const settledInput = useMemo(
    () => benchInput(view, state.personId, settledBody),
    [view, state.personId, settledBody],
  );
  const person = view.people.find(({ id }) => id === state.personId);
  const scene =
    loads === null
      ? null
      : drawBench(
          { body, shape: state.shape, values, loads, along, ...(ghost ? { ghost } : {}) },
          { ...benchSheet(state.shape), units },
        );
  const figures =
    loads === null
      ? []
      : listFigures(loads, describeInputs(body, state.shape, values, units), units, body);
  const notes =
    loads === null
      ? []
      : [...loads.notes, ...beyondSentences(loads)].map((note) => sayIn(note, units));
  const label = `${person?.name ?? 'Somebody'}: ${getShape(state.shape).label}`;

  const copy = async () => {
    const lines = [
      label,
      ...getDials(state.shape).map((dial) => `${dial.label}: ${sayValue(dial, values, units)}`),
      ...figures.map((figure) => `${figure.label}: ${figure.value}`),
    ];
    try {
      await navigator.clipboard.writeText(lines.join('\n'));
      showSaved('Copied as text.');
    } catch {
      showProblem('This browser did not let it be copied. Print it, or save the drawing.');
    }
  };
  const save = () => {
    if (scene === null) return;
    saveFile(
      'levitar-bench.svg',
      'image/svg+xml',
      toSvgFile(scene, getShape(state.shape).label, {
        scale: 20,
        ink: view.settings.paperInk,
      }),
    );
  };

  if (still !== null) {
    const stillScene = drawStill(still, { body, along }, { widthPx: 820, heightPx: 560, units });
    return (
      <div className={classes.bench}>
        <div className={classes.controls}>
          <Title order={1} size="1.7rem">
            Bench
          </Title>
          <BenchChoices bench={bench} view={view} units={units} still={still} onStill={setStill} />
        </div>
        <SceneView scene={stillScene} label={stillTable[still].label} isFluid />
        <div className={classes.side}>
          <h2>{stillTable[still].label}</h2>
          <p>
            Drawing only: to scale for this body. The model has no loads to give for this shape.
          </p>
        </div>
      </div>
    );
  }

  return (
    <div className={classes.bench}>
      <div className={classes.controls}>
        <Title order={1} size="1.7rem">
          Bench
        </Title>
        <BenchChoices bench={bench} view={view} units={units} still={still} onStill={setStill} />
        <BenchDials bench={bench} units={units} />
        <StackLine stack={stack} units={units} />
      </div>
      <div>
        {problem !== null && (
          <p role="alert" className={classes.problem}>
            {sayIn(problem, units)}
            {scene && ' The drawing stays at the last possible place.'}
          </p>
        )}
        {scene && (
          <BenchDrawing
            scene={scene}
            shape={state.shape}
            values={values}
            units={units}
            label={label}
            onTurn={bench.turn}
          />
        )}
        <Group gap="sm" className="no-print">
          <Button
            variant="default"
            leftSection={<IconPrinter size={17} />}
            onClick={() => window.print()}
          >
            Print
          </Button>
          <Button variant="default" leftSection={<IconDownload size={17} />} onClick={save}>
            Save the drawing
          </Button>
          {person !== undefined && (
            <LinkButton href={`/plumb?person=${person.id}&shape=${state.shape}`} variant="default">
              Behind a picture
            </LinkButton>
          )}
          <Button variant="default" leftSection={<IconCopy size={17} />} onClick={copy}>
            Copy as text
          </Button>
        </Group>
      </div>
      <div className={classes.side}>
        <h2>{getShape(state.shape).label}</h2>
        <dl className={classes.figures} aria-label="Figures">
          {figures.map((figure) => (
            <div key={figure.id}>
              <dt>{figure.label}</dt>
              <dd>
                {figure.value}
                {figure.like !== undefined && <small>{figure.like}</small>}
                <details>
                  <summary>Why?</summary>
                  {figure.why}
                </details>
              </dd>
            </div>
          ))}
        </dl>
        {person && <CareLine person={person} shape={state.shape} />}
        {notes.map((note) => (
          <p key={note} className={classes.note}>
            {note}
          </p>
        ))}
        <p className={classes.hint}>
          Estimates of a simple model on average proportions. Drag the round marks, or focus one and
          use the arrow keys; shift moves {sayIn('5 cm', units)}.
        </p>
        {person && (
          <SavedSetups
            key={`${person.id}-${state.shape}`}
            person={person}
            shape={state.shape}
            values={values}
            units={units}
            onUse={(kept) => bench.change({ values: kept })}
          />
        )}
      </div>
      {scene && (
        <BenchCard
          who={person?.name ?? `Somebody of ${formatHeight(state.heightM, units)}`}
          shape={state.shape}
          values={values}
          scene={scene}
          figures={figures}
          notes={notes}
          stack={stack}
          isToLookAt={person?.rulings[state.shape]?.isOpen === false}
          today={view.today}
          units={units}
        />
      )}
      <div className={classes.wide}>
        <div>
          <LoadLadder body={settledBody} units={units} />
          <RecipePanel
            key={state.shape}
            input={settledInput}
            shape={state.shape}
            person={person ?? null}
            units={units}
          />
        </div>
        <MeasuringGuide
          personId={state.personId}
          body={settledBody}
          shape={state.shape}
          values={values}
          units={units}
        />
      </div>
    </div>
  );
}

/** What care says of this shape for the chosen person; why stands on their page alone. */
function CareLine({
  person,
  shape,
}: {
  readonly person: BenchView['people'][number];
  readonly shape: ShapeId;
}) {
  const ruling = person.rulings[shape];
  if (ruling === undefined) return null;
  return (
    <p className={`${classes.note} ${classes.screenOnly}`} role="note">
      {ruling.isOpen ? (
        <>
          <strong>With care:</strong> {ruling.watch.join('; ')}.
        </>
      ) : (
        <>
          <strong>Not for {person.name.split(' ')[0]} today</strong>: to look at, not to set up.{' '}
          <Link href={`/people/${person.id}#closed`}>Why stands on their page</Link>.
        </>
      )}
    </p>
  );
}
