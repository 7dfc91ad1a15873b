'use client';

import { Button, Group, Progress } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconMovie, IconVideo } from '@tabler/icons-react';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { resolveBody } from '@/core/body/body';
import { InputProblem } from '@/core/problem';
import { clipLines, kickWishes, type PracticeKick } from '@/core/plumb/practiceClip';
import { readStill } from '@/core/plumb/still';
import type { ShapeId } from '@/core/shapes/postures';
import { FileChoice } from '@/design/FileChoice';
import { canGoBack } from '@/design/history';
import { showProblem } from '@/design/notices';
import { Choices } from '../Choices';
import { PictureStage } from '../PictureStage';
import type { PlumbEvent } from '../plumbMachine';
import type { PlumbLook } from '../look';
import { openedSheet, toStill, type Sheet } from '../sheet';
import { ghostSheet } from '../startSheet';
import type { PlumbView } from '../read';
import { ClipSide } from './ClipSide';
import { clipOf, sheetAt, toClipInput } from './clipMachine';
import { Recorder } from './Recorder';
import { openClipFile, paintedClip } from './source';
import { Timeline } from './Timeline';
import { useDropped } from '../useDropped';
import { useClip } from './useClip';
import { useWhole } from './useWhole';
import classes from '../plumb.module.css';
import own from './clip.module.css';

interface ClipPaneProps {
  readonly view: PlumbView;
  /** The shape or the check that somebody came from. */
  readonly opened: PlumbLook;
  /** `false`: another look is open; the clip and its marks wait. */
  readonly isShown: boolean;
  /** Told whether somebody's own clip is open. */
  readonly onHold?: (look: 'clip', isHolding: boolean) => void;
}

/** Nothing is known of the clip yet. */
const none: readonly never[] = [];

const usualShape: ShapeId = 'handstandWall';
const practiceWords: Readonly<Record<PracticeKick, string>> = {
  placed: 'A practice clip',
  thrown: 'One with faults',
};

/** Lines read from a clip: pictures ten times a second, marks that can be mended in any of them. */
export function ClipPane({ view, opened, isShown, onHold }: ClipPaneProps) {
  const { person } = view;
  const body = useMemo(() => resolveBody(person.body), [person.body]);
  const {
    state,
    tell,
    progress,
    open,
    stop,
    urlAt,
    picture,
    isPainted,
    opened: clipItself,
  } = useClip(openedSheet(opened), opened.base !== null);
  const isHolding = picture !== null && !isPainted;
  useEffect(() => onHold?.('clip', isHolding), [onHold, isHolding]);
  const taking = useRef(0);
  /** The next clip is being opened: what is done to the one before would be lost with it. */
  const [isOpening, setOpening] = useState(false);
  const clip = clipOf(state);
  const { at } = state;
  const sheet = useMemo(() => sheetAt(clip, at), [clip, at]);
  const still = useMemo(() => readFrame(sheet, view), [sheet, view]);
  // A mark follows the hand at once; what the whole clip says of it comes right after.
  const settled = useDeferredValue(clip);
  const input = useMemo(
    () => toClipInput(settled, person.body, view.isOverKnuckle),
    [settled, person.body, view.isOverKnuckle],
  );
  const whole = useWhole(input, clipItself);
  useHotkeys(isShown ? [['mod+z', () => tell({ kind: 'undo' })]] : []);

  const take = async (file: Blob) => {
    const turn = (taking.current += 1);
    setOpening(true);
    const opened = await openClipFile(file);
    if (turn !== taking.current) {
      // Another one was chosen meanwhile.
      if (opened.ok) opened.source.close();
      return;
    }
    setOpening(false);
    if (opened.ok) open(opened.source, {});
    else showProblem(opened.problem);
  };
  const isOver = useDropped(isShown, (file) => void take(file));
  const practise = (kick: PracticeKick) => {
    taking.current += 1;
    setOpening(false);
    open(paintedClip(body, kickWishes[kick]), {
      base: 'hands',
      shape: usualShape,
      wall: clipLines.wall,
      scale: { kind: 'points', line: [clipLines.scale.from, clipLines.scale.to], metres: 1 },
    });
  };
  const isReading = progress !== null;
  const tellFrame = useCallback(
    (event: PlumbEvent) => {
      if (event.kind === 'read' || event.kind === 'new-picture') return;
      // While it is read the marks are laid anew every moment: what is mended would be lost.
      if (isReading && event.kind !== 'set') return;
      tell(event);
    },
    [isReading, tell],
  );
  const placeMarks = useCallback(() => {
    if (picture === null) return;
    try {
      const { floor, wall, ...ghost } = ghostSheet(sheet, body, sheet.shape ?? usualShape, picture);
      tell({
        kind: 'set',
        change: { ...ghost, floor: sheet.floor ?? floor, wall: sheet.wall ?? wall },
      });
    } catch (error) {
      if (!(error instanceof InputProblem)) throw error;
      showProblem(error.message);
    }
  }, [picture, sheet, body, tell]);
  const times = useMemo(() => clip.frames.map(({ atS }) => atS), [clip.frames]);
  const lookAt = useCallback((index: number) => tell({ kind: 'look-at', index }), [tell]);
  return (
    <>
      <Group gap="sm" mb="sm">
        <FileChoice onFile={(file) => void take(file)} accept="video/*">
          {({ onClick }) => (
            <Button leftSection={<IconMovie size={18} />} onClick={onClick}>
              Choose a clip
            </Button>
          )}
        </FileChoice>
        <Recorder icon={<IconVideo size={18} />} onClip={(file) => void take(file)} />
        {(Object.keys(practiceWords) as PracticeKick[]).map((kick) => (
          <Button key={kick} variant="default" onClick={() => practise(kick)}>
            {practiceWords[kick]}
          </Button>
        ))}
        <Button
          variant="default"
          disabled={!canGoBack(state.history)}
          leftSection={<IconArrowBackUp size={18} />}
          onClick={() => tell({ kind: 'undo' })}
        >
          Undo
        </Button>
      </Group>
      {progress !== null && (
        <div className={own.bar}>
          <Progress
            value={(100 * progress[0]) / progress[1]}
            size="lg"
            aria-label="Pictures read"
          />
          <span role="status">
            {progress[0]} of {progress[1]} pictures
          </span>
          <Button variant="default" onClick={stop}>
            Stop here
          </Button>
        </div>
      )}
      {picture === null ? (
        <div className={classes.begin} data-over={isOver}>
          <h2>A try, at most twenty seconds: drop it, or choose it</h2>
          <ul>
            <li>Camera still, level, about hip height, three metres away or more.</li>
            <li>Begin before the feet leave the floor and end after they are back.</li>
            <li>A wall and a tape in the plane of the body give distances; times need neither.</li>
          </ul>
          <p>It stays on this page of this device: it is sent nowhere and kept nowhere.</p>
        </div>
      ) : (
        <div className={classes.plumb} data-over={isOver} inert={isOpening}>
          <div>
            <PictureStage
              picture={picture}
              sheet={sheet}
              body={body}
              reading={still}
              units={view.units}
              tell={tellFrame}
              aroundPx={340}
            />
            <Timeline
              course={whole?.course ?? none}
              events={whole?.reading.events ?? none}
              telling={whole?.telling ?? none}
              times={times}
              at={at}
              urlAt={urlAt}
              lookAt={lookAt}
            />
          </div>
          <div className={classes.side}>
            {whole !== null && (
              <ClipSide
                view={view}
                input={whole.input}
                reading={whole.reading}
                holds={whole.holds}
                size={picture}
                isPainted={isPainted}
              />
            )}
            <Choices
              sheet={sheet}
              image={picture}
              hasMarks={still !== null}
              isReading={isReading}
              onPlace={placeMarks}
              units={view.units}
              lengths={view.lengths}
              isClip
              tell={tellFrame}
            />
          </div>
        </div>
      )}
    </>
  );
}

/** What the picture that is looked at says by itself, for the lines over it. */
function readFrame(sheet: Sheet, view: PlumbView) {
  const input = toStill(sheet, view.person.body, view.isOverKnuckle);
  if (input === null) return null;
  try {
    return readStill(input);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return null;
  }
}
