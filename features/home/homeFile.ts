/** Home practice as one file for a phone: drawings, timer, breath and diary, and no request. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { painPlaceTable, stopSignTable } from '@/core/catalog/regions';
import { feltWords } from '@/core/home/felt';
import { listFrames } from '@/core/home/frames';
import type { HomeItem } from '@/core/home/homeItem';
import { sidesOf, type DoseStep } from '@/core/catalog/dose';
import { listDosePace, type PaceStep } from '@/core/running/pacer';
import { addDays, type Day, sayDay } from '@/core/units/day';
import { formatLength } from '@/core/units/length';
import { homeCaution, type PhoneView } from './read';
import { sheetOf } from './sheet';

/** All that the file says besides the practice itself. */
const words = {
  title: 'Practice for #',
  until: 'Until #. Then ask your teacher for the next.',
  over: 'This sheet ended on #. Ask your teacher for a new one.',
  days: '# days a week',
  side: 'Begin with the # side.',
  doneOnce: 'done once',
  doneTimes: 'done # times',
  begin: 'Begin',
  notAlone: 'Not alone',
  stopTitle: 'Stop at once, and tell your teacher',
  stopHow: 'Any pain, dizziness, or one of these:',
  ready: 'Get ready',
  pause: 'Pause',
  goOn: 'Go on',
  skip: 'Next',
  done: 'Done',
  stop: 'Stop',
  soundOn: 'Sound on',
  soundOff: 'Sound off',
  count: '# of ##',
  breatheIn: 'in',
  breatheOut: 'out',
  how: 'How was it? #',
  hurt: 'Did anything hurt?',
  signs: 'Any of these?',
  nothing: 'nothing',
  none: 'none',
  notDone: 'Not done: back to the list',
  stopNow: 'Enough for today',
  painMet: 'Leave out what hurt until you have told your teacher.',
  leftOut: 'Leave this out until your teacher has asked you about what hurt.',
  takeBack: 'Take it back',
  putBack: 'Put it back',
  isBack: 'taken back',
  drawing: 'Drawing',
  holdStill: 'Hold the drawings still',
  letMove: 'Let the drawings move',
  signMet:
    'No more upside down, and nothing on the neck, until you have told your teacher and a doctor.',
  back: 'Back to the list',
  diary: 'Diary (#)',
  diaryTitle: 'What you have done',
  empty: 'Nothing yet.',
  told: 'tell your teacher',
  notKept: 'This phone keeps nothing for a file: hand the diary back before you close it.',
  save: 'Save as a file',
  picture: 'Show as a picture',
  pictureLabel: 'The diary as a picture to be read by a camera',
  tooLong: 'Too long for a picture: save the file instead.',
  code: 'Or copy this and send it to your teacher',
  copy: 'Copy',
  copied: 'Copied',
} as const;

/** Without an evening to come a sheet ends by itself. */
const usualDays = 21;

function endOf({ next, today }: Pick<PhoneView, 'next' | 'today'>): Day {
  return next ?? addDays(today, usualDays);
}

const part = (name: string) =>
  readFileSync(path.join(process.cwd(), 'features', 'home', 'file', name), 'utf8');
const picturesOfCodes = () =>
  readFileSync(
    path.join(process.cwd(), 'node_modules', 'qrcode-generator', 'dist', 'qrcode.js'),
    'utf8',
  );

/** What stands in a script of a page cannot end it. */
const safe = (text: string) => text.replaceAll('<', '\\u003c');
const asText = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/** Everything the page shows, as data. */
export function dataOf(view: PhoneView) {
  const { practice, name, uid, breathSeconds, after } = view;
  const ends = endOf(view);
  const resting = view.resting.filter(({ id }) => practice.items.every((item) => item.id !== id));
  const moves = new Set([...practice.items, ...resting].flatMap(({ move }) => move ?? []));
  return {
    sheet: sheetOf(uid),
    name: name.split(' ')[0] ?? name,
    ends,
    endsWords: sayDay(ends),
    breathS: breathSeconds,
    words,
    instead: practice.instead,
    items: [
      ...practice.items.map((item) => itemOf(item, view)),
      // Kept back, for whoever has nothing left of the sheet.
      ...resting.map((item) => ({ ...itemOf(item, view), isRest: true })),
    ],
    after,
    heard: view.heard,
    moves: Object.fromEntries([...moves].map((move) => [move, listFrames(move)])),
    notAlone: practice.notAlone.map(({ label, why }) => ({ label, why })),
    places: Object.entries(painPlaceTable).map(([id, { label }]) => ({ id, label })),
    signs: Object.entries(stopSignTable).map(([id, { label }]) => ({ id, label })),
    felt: Object.entries(feltWords).map(([id, label]) => ({ id, label })),
    caution: homeCaution,
  };
}

/** One row as the phone shows and counts it. */
const itemOf = (item: HomeItem, { units, breathSeconds }: PhoneView) => ({
  id: item.id,
  label: item.label,
  dose: item.dose,
  how: item.how,
  days: item.days,
  side: item.firstSide ?? null,
  more: [
    ...(item.wall === undefined
      ? []
      : [
          `${item.wall.label}: ${formatLength(item.wall.metres, units)}${item.wall.isFound ? ', found by trying' : ''}`,
        ]),
    ...(item.standIns.length === 0
      ? []
      : [`Take ${item.standIns.map(({ words: piece }) => piece).join('; ')}.`]),
    ...(item.watch.length === 0 ? [] : [`Watch: ${item.watch.join('; ')}.`]),
  ],
  steps: sidesNamed(listSteps(item.paced, breathSeconds), item.firstSide),
  move: item.move,
  isRest: false,
});

/** A step of the timer; without seconds it lasts until somebody says that it is done. */
type Step = Omit<PaceStep, 'seconds'> & { readonly seconds: number | null };

const asLong = 'As long as it is good';

/** What a timer counts: with what has no length of its own, and what a teacher said in words. */
function listSteps(dose: readonly DoseStep[], breathSeconds: number): Step[] {
  const open = (label: string): Step => ({ kind: 'hold', label, seconds: null });
  if (dose.length === 0) return [open(asLong)];
  const at = dose.findIndex((step) => 'hold' in step);
  if (at < 0) return listDosePace(dose, breathSeconds);
  const [before, held, after] = [dose.slice(0, at), dose[at]!, dose.slice(at + 1)];
  return [
    ...listDosePace(before, breathSeconds),
    ...sidesOf(held).map((side) => open(side === '' ? asLong : `${asLong}, ${side}`)),
    ...(after.length === 0 ? [] : listSteps(after, breathSeconds)),
  ];
}

/** The side that lags is named, where one does. */
function sidesNamed(steps: readonly Step[], first: 'left' | 'right' | undefined): Step[] {
  if (first === undefined) return [...steps];
  const other = first === 'left' ? 'right' : 'left';
  return steps.map((step) => ({
    ...step,
    label: step.label
      .replace('the other side', `${other} side`)
      .replace('one side', `${first} side`),
  }));
}

/** The whole file. Its own policy lets nothing in and nothing out. */
export function writeHomeFile(view: PhoneView): string {
  const data = dataOf(view);
  return [
    '<!doctype html>',
    '<html lang="en">',
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src data:; base-uri 'none'; form-action 'none'">`,
    `<title>${asText(`Practice for ${data.name}`)}</title>`,
    `<style>${part('practice.css')}</style>`,
    '</head>',
    '<body>',
    `<main id="root"><noscript>${asText(homeCaution)}</noscript></main>`,
    `<script id="sheet" type="application/json">${safe(JSON.stringify(data))}</script>`,
    `<script>${picturesOfCodes().replaceAll('</script', '<\\/script')}</script>`,
    `<script>${part('practice.js')}</script>`,
    '</body>',
    '</html>',
    '',
  ].join('\n');
}
