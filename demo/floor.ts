/** What the made-up course left on the floor: tries, minutes upside down, rungs climbed. */
import type { FaultId } from '@/core/catalog/faults';
import { shippedProfile, shippedSchool } from '@/core/catalog/school';
import type { StageId } from '@/core/catalog/stages';
import { getWayUp, type WayUpId } from '@/core/catalog/waysUp';
import { openCase } from '@/core/ladder/case';
import { judge } from '@/core/ladder/verdict';
import { opensStage } from '@/core/ladder/verdictKinds';
import type { Evidence } from '@/core/readiness/record';
import { addDays, type Day } from '@/core/units/day';
import { addDecision } from '@/db/decisions';
import { addAttempts, addUpsideTime, type NewAttempt } from '@/db/floor';
import type { Db } from '@/db/open';
import { careOf, findPerson } from '@/db/people';
import { readEvidence } from '@/db/records';
import type { DemoPerson } from './people';

/** Rungs climbed, meetings counted back from the last one. */
const climbs: readonly { readonly name: string; readonly ago: number; readonly stage: StageId }[] =
  [
    { name: 'Anselm Rook', ago: 2, stage: 'FS9' },
    { name: 'Bettina Quill', ago: 2, stage: 'FS8' },
    { name: 'Bettina Quill', ago: 1, stage: 'FS9' },
    { name: 'Corin Vale', ago: 2, stage: 'FS5' },
    { name: 'Corin Vale', ago: 1, stage: 'FS6' },
    { name: 'Dorit Amsel', ago: 1, stage: 'FS8' },
    { name: 'Halina Brook', ago: 1, stage: 'FS7' },
    { name: 'Idris Falk', ago: 2, stage: 'FS5' },
    { name: 'Matteo Wren', ago: 2, stage: 'FS8' },
  ];

const upTo = (evidence: Evidence, day: Day): Evidence =>
  Object.fromEntries(
    Object.entries(evidence).map(([check, records]) => [
      check,
      (records ?? []).filter(({ date }) => date <= day),
    ]),
  );

/** Each decided on its own evening, beside what the records suggested by then. */
export function climbSome(db: Db, ids: ReadonlyMap<string, number>, lastMeeting: Day): void {
  const school = shippedSchool('prop-led');
  for (const { name, ago, stage } of climbs) {
    const personId = ids.get(name)!;
    const person = findPerson(db, personId)!;
    const on = addDays(lastMeeting, -7 * ago);
    const verdict = judge(
      stage,
      openCase({
        asOf: on,
        school,
        evidence: upTo(readEvidence(db, [personId]).get(personId)!, on),
        care: { ...careOf(person), clearances: [], signs: [] },
        consent: person.consent,
        present: {},
        equipment: [],
      }),
    );
    if (verdict.kind === 'stop') continue;
    const agrees = opensStage(verdict.kind);
    addDecision(db, {
      personId,
      family: 'forearm-stand',
      stage,
      madeOn: on,
      suggested: verdict.kind,
      grounds: {
        reasons: verdict.reasons,
        figures: verdict.items.map(({ label, status, reasons }) => ({
          label,
          status,
          text: reasons.join('; '),
        })),
        profileLabel: shippedProfile('prop-led').label,
      },
      profileKey: 'prop-led',
      profileVersion: 1,
      decided: agrees ? verdict.kind : 'advance-with-support',
      reason: agrees ? '' : 'steady in class; with somebody beside them',
      corrects: null,
    });
  }
}

/** Those who hop or kick, and on which leg they like to lead. */
const triers: Readonly<Record<string, { readonly what: 'hop' | 'kick'; readonly right: number }>> =
  {
    'Anselm Rook': { what: 'kick', right: 0.5 },
    'Bettina Quill': { what: 'hop', right: 0.85 },
    'Dorit Amsel': { what: 'hop', right: 0.4 },
    'Fenja Marsh': { what: 'hop', right: 0.6 },
  };

const headDown = ['FS5', 'FS6', 'FS7', 'FS8', 'FS9', 'FS10'];

/** Some tries were timed: whoever lands softly has come down as slowly as they went up. */
function timesOf(isTimed: boolean, landing: 'soft' | 'heavy', week: number) {
  if (!isTimed) return { liftS: null, exitS: null };
  const liftS = 1.4 + 0.2 * week;
  const exitS = landing === 'soft' ? liftS + 0.6 : liftS / 2;
  return { liftS: Math.round(liftS * 10) / 10, exitS: Math.round(exitS * 10) / 10 };
}

/** Of every few tries that did not arrive, the fewer the later, what was seen of them. */
const faultsOf = (index: number, week: number): FaultId[] =>
  index % (2 + Math.floor(week / 3)) === 0
    ? ['swing-kick']
    : index % 3 === 1
      ? ['second-leg-thrown']
      : [];

/** Tries get better over the weeks; minutes upside down grow a little for who is far enough. */
export function tryAndTime(
  db: Db,
  people: readonly DemoPerson[],
  ids: ReadonlyMap<string, number>,
  evenings: readonly { readonly date: Day; readonly cameBy: (person: DemoPerson) => boolean }[],
  random: () => number,
): void {
  evenings.forEach(({ date, cameBy }, week) => {
    for (const person of people) {
      const personId = ids.get(person.name)!;
      if (!cameBy(person) || !headDown.includes(person.presentStage)) continue;
      const trier = triers[person.name]!;
      const count = trier === undefined ? 0 : 5 + Math.floor(random() * 5);
      const rows: NewAttempt[] = [];
      for (let index = 0; index < count; index += 1) {
        const right = random() < trier.right;
        const reached = random() < 0.25 + 0.13 * week + (right === trier.right > 0.5 ? 0.1 : 0);
        const blocksKept = trier.what === 'kick' ? random() < 0.5 + 0.1 * week : null;
        const landing = random() < 0.4 + 0.12 * week ? 'soft' : 'heavy';
        rows.push({
          personId,
          date,
          what: trier.what,
          stage: trier.what === 'hop' ? 'FS9' : 'FS10',
          base: 'forearms',
          leg: right ? 'right' : 'left',
          reached,
          blocksKept,
          landing,
          isAssisted: person.name === 'Fenja Marsh' && week < 2,
          wayUp: null,
          support: trier.what === 'kick' ? 'block' : 'free',
          // What keeps a try from arriving is what is seen of it, less from week to week.
          ...timesOf(trier.what === 'kick' && reached && index % 2 === 0, landing, week),
          faults: reached ? [] : faultsOf(index, week),
        });
      }
      addAttempts(db, rows);
      const seconds = 60 + 25 * week + Math.round(random() * 60) + 8 * count;
      addUpsideTime(db, [{ personId, date, seconds }]);
    }
  });
}

/** Who comes up at the wall on the hands, and the way they mean to. */
const hoppersOnHands: Readonly<
  Record<string, { readonly way: WayUpId; readonly other: WayUpId; readonly right: number }>
> = {
  'Anselm Rook': { way: 'slow-leg', other: 'straight-leg', right: 0.4 },
  'Idris Falk': { way: 'straight-leg', other: 'bent-knee', right: 0.75 },
};

/** Hops on the hands, by their way up: the meant one more often from week to week. */
export function hopOnHands(
  db: Db,
  people: readonly DemoPerson[],
  ids: ReadonlyMap<string, number>,
  evenings: readonly { readonly date: Day; readonly cameBy: (person: DemoPerson) => boolean }[],
  random: () => number,
): void {
  evenings.forEach(({ date, cameBy }, week) => {
    for (const person of people) {
      const hopper = hoppersOnHands[person.name];
      // The handstand has every second evening.
      if (hopper === undefined || !cameBy(person) || week % 2 === 0) continue;
      const rows = Array.from({ length: 6 }, (_, index): NewAttempt => {
        const wayUp = random() < 0.45 + 0.06 * week ? hopper.way : hopper.other;
        const reached = random() < 0.3 + 0.08 * week;
        return {
          personId: ids.get(person.name)!,
          date,
          what: 'hop',
          stage: 'HB10',
          base: 'hands',
          // Both legs leave at once: none leads.
          leg: getWayUp(wayUp).isTogether ? null : random() < hopper.right ? 'right' : 'left',
          reached,
          blocksKept: null,
          landing: random() < 0.4 + 0.07 * week ? 'soft' : 'heavy',
          isAssisted: false,
          wayUp,
          support: 'free',
          liftS: null,
          exitS: null,
          faults: reached ? [] : faultsOf(index, week),
        };
      });
      addAttempts(db, rows);
    }
  });
}
