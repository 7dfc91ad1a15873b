'use client';

import { useHotkeys } from '@mantine/hooks';
import {
  useCallback,
  useDeferredValue,
  useEffect,
  useId,
  useMemo,
  useReducer,
  useRef,
  useState,
} from 'react';
import { resolveBody, type Body } from '@/core/body/body';
import { InputProblem } from '@/core/problem';
import { isFrontal, moreThanOne, sayCutOff, takenFromTheFront } from '@/core/plumb/reader';
import { plainPractice, practiceTakes, type PracticeWish } from '@/core/plumb/practice';
import { readStill } from '@/core/plumb/still';
import type { ShapeId } from '@/core/shapes/postures';
import type { PlumbLook } from './look';
import { canGoBack } from '@/design/history';
import { showProblem } from '@/design/notices';
import { Beside } from './Beside';
import { Choices } from './Choices';
import { MeasureList, Summary } from './MeasureList';
import { Offers } from './Offers';
import { fromCanvas, loadPicture, type LoadedPicture, type PictureOutcome } from './picture';
import { PictureButtons } from './PictureButtons';
import { PictureStage } from './PictureStage';
import { beginPlumb, canUndo, reducePlumb, sheetOf } from './plumbMachine';
import { openedSheet, toStill, type Sheet } from './sheet';
import { facingSheet, ghostSheet, lyingSheet } from './startSheet';
import { paintPractice } from './practice';
import { PracticeCamera } from './PracticeCamera';
import type { PlumbView } from './read';
import { useDropped } from './useDropped';
import { useReader } from './useReader';
import classes from './plumb.module.css';

interface StillPaneProps {
  readonly view: PlumbView;
  /** The shape or the check that somebody came from. */
  readonly opened: PlumbLook;
  /** `false`: another look is open; the picture and its marks wait. */
  readonly isShown: boolean;
  /** Told whether somebody's own picture is open. */
  readonly onHold?: (look: 'picture', isHolding: boolean) => void;
}

const usualShape: ShapeId = 'handstandWall';

/** A picture, and what it was painted as; `null`: it is of somebody. */
interface Shown {
  readonly picture: LoadedPicture;
  readonly painted: PracticeWish | null;
}

/** One picture: marks that are moved by hand, and what follows from them. */
export function StillPane({ view, opened, isShown, onHold }: StillPaneProps) {
  const { person, units } = view;
  const body = useMemo(() => resolveBody(person.body), [person.body]);
  const [pictures, setPictures] = useState<ReadonlyMap<number, Shown>>(new Map());
  /** The next picture is being opened: what acts on the one before would be lost with it. */
  const [isOpening, setOpening] = useState(false);
  const taking = useRef(0);
  const practised = useRef(0);
  /** What the practice camera is set to; none: a photograph was chosen last. */
  const [wish, setWish] = useState<PracticeWish | null>(null);
  const overlayId = useId();
  const reader = useReader();
  const [state, tell] = useReducer(reducePlumb, undefined, () =>
    beginPlumb(openedSheet(opened), opened.base !== null),
  );
  const shown = pictures.get(state.picture) ?? null;
  const picture = shown?.picture ?? null;
  const painted = shown?.painted ?? null;
  const isHolding = picture !== null && painted === null;
  useEffect(() => onHold?.('picture', isHolding), [onHold, isHolding]);
  const sheet = sheetOf(state);
  const { reading, problem } = useMemo(() => measure(sheet, view), [sheet, view]);
  // A mark under a hand changes the lines and the measures; what is chosen waits until it is let go,
  // and what follows from the measures comes when there is time.
  const settled = state.history.now;
  // Picture and marks together: what was read from one is never kept as the other's.
  const whole = useMemo(() => ({ shown, sheet: settled }), [shown, settled]);
  const later = useDeferredValue(whole);
  const besides = useMemo(
    () => ({ ...later, reading: measure(later.sheet, view).reading }),
    [later, view],
  );
  useGoneWithPage(pictures);
  const { read, warm, forget } = reader;
  const latest = useRef(state);
  useEffect(() => {
    latest.current = state;
  }, [state]);
  const undo = useCallback(() => {
    const { history, live, before } = latest.current;
    if (live === null && !canGoBack(history) && before !== null) {
      // What is being opened or read was of the picture that goes.
      taking.current += 1;
      setOpening(false);
      forget();
      setWish(pictures.get(before.picture)?.painted ?? null);
    }
    tell({ kind: 'undo' });
  }, [pictures, forget]);
  useHotkeys(isShown ? [['mod+z', undo]] : []);
  const readMarks = useCallback(
    async (of: LoadedPicture) => {
      const found = await read(of);
      if (found === null) return;
      if (!found.ok) {
        showProblem(found.problem);
        return;
      }
      tell({ kind: 'read', marks: found.marks, body, image: of });
      if (found.hasOthers === true) showProblem(moreThanOne);
      const cutOff = sayCutOff(found.marks);
      if (cutOff !== null) showProblem(cutOff);
      const isFromTheSide = sheetOf(latest.current).view === 'side';
      if (isFromTheSide && isFrontal(found.marks)) showProblem(takenFromTheFront);
    },
    [body, read],
  );
  const take = useCallback(
    async (outcome: Promise<PictureOutcome>, as: PracticeWish | null = null) => {
      const turn = (taking.current += 1);
      setOpening(true);
      const taken = await outcome;
      // Another one was chosen meanwhile.
      if (turn !== taking.current) return;
      setOpening(false);
      if (!taken.ok) {
        showProblem(taken.problem);
        setWish(painted);
        return;
      }
      const { picture: open, before } = latest.current;
      tell({
        kind: 'new-picture',
        picture: turn,
        // How it was painted is known.
        ...(as === null ? {} : { view: as.view ?? plainPractice.view, shape: as.shape }),
      });
      setWish(as);
      // The one before stays with its marks, for a step back.
      setPictures(
        (all) =>
          new Map([
            ...[...all].filter(([one]) => one === open || one === before?.picture),
            [turn, { picture: taken.picture, painted: as }],
          ]),
      );
      // Whoever opens a picture wants its marks; until they are there they can be put on by hand.
      void readMarks(taken.picture);
    },
    [painted, readMarks],
  );
  const choose = useCallback((file: File) => void take(loadPicture(file)), [take]);
  const isOver = useDropped(isShown, choose);
  const paint = useCallback(
    (asked: PracticeWish) => {
      const canvas = reachable(() => paintPractice(body, asked));
      if (canvas === null) return;
      // At once, so that the next thing that is chosen is added to this one.
      setWish(asked);
      void take(fromCanvas(canvas), asked);
    },
    [body, take],
  );
  // What is looked at is said beside the picture: another light is no other shape.
  const repaint = useCallback(
    (asked: PracticeWish) => {
      const { shape } = sheetOf(latest.current);
      paint(shape === null ? asked : { ...asked, shape });
    },
    [paint],
  );
  const practise = useCallback(() => {
    const taken = practiceTakes[practised.current % practiceTakes.length]!;
    practised.current += 1;
    // Light, camera and faults that were chosen stay; the take changes how it is held.
    paint({ ...wish, ...taken, shape: sheetOf(latest.current).shape ?? usualShape });
  }, [paint, wish]);
  const placeMarks = useCallback(() => {
    if (picture === null) return;
    // By hand: what is still being read is not laid over it.
    forget();
    const change = startByHand(sheetOf(latest.current), body, picture);
    if (change !== null) tell({ kind: 'set', change });
  }, [picture, body, forget]);
  const readShown = useCallback(
    () => (picture === null ? undefined : readMarks(picture)),
    [picture, readMarks],
  );
  return (
    <>
      <PictureButtons
        canUndo={canUndo(state)}
        onFile={choose}
        onSoon={warm}
        onPractise={practise}
        onUndo={undo}
      />
      {picture === null ? (
        <Begin isOver={isOver} />
      ) : (
        <div className={classes.plumb} data-over={isOver}>
          <div className={classes.beside}>
            {wish !== null && <PracticeCamera body={body} wish={wish} onChange={repaint} />}
            <div className={classes.stays} inert={isOpening}>
              <PictureStage
                picture={picture}
                sheet={sheet}
                body={body}
                reading={reading}
                units={units}
                tell={tell}
                overlayId={overlayId}
              />
            </div>
          </div>
          <div className={classes.side} inert={isOpening}>
            <Choices
              sheet={later.sheet}
              image={picture}
              hasMarks={reading !== null}
              isReading={reader.isReading}
              onRead={readShown}
              onPlace={placeMarks}
              units={units}
              lengths={view.lengths}
              tell={tell}
            />
            {reader.isReading && reading === null && (
              <p className={classes.note} role="status">
                The marks are being read, on this device. By hand they can be put on meanwhile.
              </p>
            )}
            {problem !== null && <p className={classes.problem}>{problem}</p>}
            {reading !== null && <Summary reading={reading} />}
            {reading !== null && besides.reading !== null && besides.shown !== null && (
              <Offers
                view={view}
                sheet={besides.sheet}
                reading={besides.reading}
                isPainted={besides.shown.painted !== null}
              />
            )}
            {reading !== null && <MeasureList reading={reading} units={units} />}
            {reading !== null && besides.reading !== null && besides.shown !== null && (
              <Beside
                view={view}
                body={body}
                picture={besides.shown.picture}
                painted={besides.shown.painted}
                overlayId={overlayId}
                sheet={besides.sheet}
                reading={besides.reading}
                tell={tell}
              />
            )}
          </div>
        </div>
      )}
    </>
  );
}

/** The pictures are this page's alone: each goes when nothing leads back to it, all with the page. */
function useGoneWithPage(pictures: ReadonlyMap<number, Shown>): void {
  const [held] = useState(() => new Set<string>());
  useEffect(() => {
    const now = new Set([...pictures.values()].map(({ picture }) => picture.url));
    for (const url of held) if (!now.has(url)) URL.revokeObjectURL(url);
    held.clear();
    for (const url of now) held.add(url);
  }, [pictures, held]);
  useEffect(
    () => () => {
      for (const url of held) URL.revokeObjectURL(url);
    },
    [held],
  );
}

/** Where marks begin that are put on by hand; `null`: this shape is out of reach, which was said. */
function startByHand(sheet: Sheet, body: Body, picture: LoadedPicture): Sheet | null {
  if (sheet.view !== 'side') return facingSheet(sheet, body, picture);
  const isLying = sheet.shape === null && sheet.base === 'feet';
  return isLying
    ? lyingSheet(sheet, body, picture)
    : reachable(() => ghostSheet(sheet, body, sheet.shape ?? usualShape, picture));
}

/** The person's own figure may not reach: that is a sentence, and the marks are put on otherwise. */
function reachable<T>(make: () => T): T | null {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    showProblem(`${error.message} Choose another shape to begin with.`);
    return null;
  }
}

/** What the marks say, or why they say nothing. */
function measure(sheet: ReturnType<typeof sheetOf>, view: PlumbView) {
  const input = toStill(sheet, view.person.body, view.isOverKnuckle);
  if (input === null) return { reading: null, problem: null };
  try {
    return { reading: readStill(input), problem: null };
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return { reading: null, problem: error.message };
  }
}

function Begin({ isOver }: { readonly isOver: boolean }) {
  return (
    <div className={classes.begin} data-over={isOver}>
      <h2>Drop or paste a picture, or choose one</h2>
      <ul>
        <li>Camera level, about hip height, three metres away or more, square to the body.</li>
        <li>Whole body and floor in the picture.</li>
        <li>A tape, a block or the wall in the plane of the body gives the scale.</li>
      </ul>
      <p>It stays on this page of this device: it is sent nowhere and kept nowhere.</p>
    </div>
  );
}
