import type { PieceCount } from '@/core/catalog/pieces';
import { buildSchool, shippedProfile, shippedSchool, type School } from '@/core/catalog/school';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import { openCase } from '@/core/ladder/case';
import { judge } from '@/core/ladder/verdict';
import { opensStage, type VerdictKind } from '@/core/ladder/verdictKinds';
import { addDays, daysBetween, type Day } from '@/core/units/day';
import {
  addCourse,
  addMeeting,
  enrol,
  saveAttendance,
  saveSettings,
  type NewMeeting,
} from '@/db/courses';
import { savePieces, saveRoom } from '@/db/cupboards';
import { addDecision } from '@/db/decisions';
import type { Db } from '@/db/open';
import { careOf, findPerson } from '@/db/people';
import {
  addClearance,
  addPerson,
  addSign,
  saveBody,
  saveCare,
  saveRung,
  saveScreened,
} from '@/db/personChanges';
import { addProfileVersion } from '@/db/profiles';
import { addRecord, readEvidence } from '@/db/records';
import { climbSome, hopOnHands, tryAndTime } from './floor';
import { demoRoom } from './room';
import { ladderRecords } from './ladderRecords';
import { alsoSaturday, demoPeople, saturdayPeople, type DemoPerson } from './people';
import { seededRandom } from './random';
import { demoRecords } from './records';

/** Fixed, so that the demo is the same course everywhere. */
const seed = 20411;
/** Another stream, so that a new ladder changes nobody's forearm records. */
const ladderSeed = 9377;
/** And one for what happened on the floor. */
const floorSeed = 5119;
const weekOfCourse = 5;
const weeksOfCourse = 10;

const pieces: readonly PieceCount[] = [
  { piece: 'foam-block', count: 9 },
  { piece: 'thin-foam-block', count: 2 },
  { piece: 'cork-block', count: 3 },
  { piece: 'flat-foam', count: 6 },
  { piece: 'shoulder-pad', count: 8 },
  { piece: 'blanket', count: 12 },
  { piece: 'bolster-rectangular', count: 4 },
  { piece: 'bolster-round', count: 2 },
  { piece: 'strap-180', count: 4 },
  { piece: 'strap-240', count: 3 },
  { piece: 'chair', count: 5 },
  { piece: 'mat', count: 14 },
  { piece: 'cushion', count: 3 },
];

/** The Thursday on or after a day. 1970-01-01 was one. */
export function comingThursday(today: Day): Day {
  const past = daysBetween('1970-01-01', today) % 7;
  return addDays(today, (7 - past) % 7);
}

type Week = readonly [family: LadderId, peak: StageKey | null];

const thursdays: readonly Week[] = [
  ['shoulder-stand', 'SS3'],
  ['forearm-stand', 'FS5'],
  ['handstand', 'HB6'],
  ['forearm-stand', 'FS8'],
  ['forearm-stand', 'FS10'],
  ['arm-balance', 'CR6'],
  ['handstand', 'HB8'],
  ['headstand', 'HS5'],
  ['forearm-stand', null],
  ['shoulder-stand', 'SS7'],
];

const saturdays: readonly Week[] = [
  ['shoulder-stand', 'SS2'],
  ['forearm-stand', 'FS3'],
  ['shoulder-stand', 'SS4'],
  ['forearm-stand', 'FS8'],
];

/** A line about an evening, for some of them. */
const notes: Readonly<Record<string, string>> = {
  'Fenja Marsh': 'three hops without stopping first; smiled',
  'Idris Falk': 'slower when he counts the breath aloud',
  'Halina Brook': 'right side: block lower next time',
};

/**
 * Fills an empty database with the made-up studio: the Thursday course in its fifth week with
 * fourteen people and eight weeks of records, and a small Saturday course that shares four of
 * them. Every date counts back from the coming Thursday.
 */
export function seedDemo(db: Db, today: Day): void {
  const random = seededRandom(seed);
  const ladderRandom = seededRandom(ladderSeed);
  const coming = comingThursday(today);
  const lastMeeting = addDays(coming, -7);
  db.transaction((tx) => {
    saveSettings(tx, { studio: 'The Oakum Loft' });
    const school = addOwnProfile(tx, lastMeeting);
    const thursday = addCourseWithWeeks(
      tx,
      {
        name: 'Thursday, upside down',
        startsOn: addDays(coming, -7 * (weekOfCourse - 1)),
        startsAt: '18:30',
        minutes: 75,
        weeks: weeksOfCourse,
        profile: 'prop-led',
      },
      thursdays,
    );
    const saturday = addCourseWithWeeks(
      tx,
      {
        name: 'Saturday, slow and propped',
        startsOn: addDays(coming, 9 - 14),
        startsAt: '10:00',
        minutes: 60,
        weeks: saturdays.length,
        profile: school.profile.key,
      },
      saturdays,
    );
    const ids = new Map<string, number>();
    for (const invented of demoPeople) {
      const id = addInvented(tx, invented, lastMeeting);
      ids.set(invented.name, id);
      enrol(tx, thursday.id, id);
      if (alsoSaturday.includes(invented.name)) enrol(tx, saturday.id, id);
      for (const record of demoRecords(invented, lastMeeting, random)) {
        addRecord(tx, { personId: id, ...record });
      }
    }
    for (const invented of demoPeople) {
      const personId = ids.get(invented.name)!;
      for (const record of ladderRecords(invented, lastMeeting, ladderRandom)) {
        addRecord(tx, { personId, ...record });
      }
    }
    for (const invented of saturdayPeople) {
      const id = addInvented(tx, invented, lastMeeting);
      enrol(tx, saturday.id, id);
      for (const record of [
        ...demoRecords(invented, lastMeeting, ladderRandom),
        ...ladderRecords(invented, lastMeeting, ladderRandom),
      ]) {
        addRecord(tx, { personId: id, ...record });
      }
    }
    markAttendance(tx, thursday.meetings, ids, lastMeeting);
    climbSome(tx, ids, lastMeeting);
    decideSome(tx, ids, lastMeeting);
    const evenings = thursday.meetings
      .filter(({ date }) => date <= lastMeeting)
      .map(({ date }) => ({
        date,
        cameBy: (person: DemoPerson) => came(person, date, lastMeeting),
      }));
    tryAndTime(tx, demoPeople, ids, evenings, seededRandom(floorSeed));
    hopOnHands(tx, demoPeople, ids, evenings, seededRandom(floorSeed + 1));
  });
}

interface NewWeeks {
  readonly name: string;
  readonly startsOn: Day;
  readonly startsAt: string;
  readonly minutes: number;
  readonly weeks: number;
  readonly profile: string;
}

const place = 'The Oakum Loft';

function addCourseWithWeeks(db: Db, values: NewWeeks, weeks: readonly Week[]) {
  const id = addCourse(db, { ...values, place, stage: 'FS10' });
  savePieces(db, id, pieces);
  saveRoom(db, id, demoRoom);
  const meetings = weeks.map(([family, peak], index) => {
    const { startsAt, minutes } = values;
    const date = addDays(values.startsOn, 7 * index);
    const meeting: NewMeeting = { courseId: id, date, startsAt, minutes, room: '', family, peak };
    return { id: addMeeting(db, meeting), date };
  });
  return { id, meetings };
}

/** The house's own way: a copy of prop-led with a shorter dolphin bar and two cues. */
function addOwnProfile(db: Db, savedOn: Day): School {
  const profile = {
    key: 'own-1',
    version: 1,
    label: 'Oakum, slow',
    origin: 'prop-led',
    changes: {
      bars: { 'dolphin-hold': 40 },
      closedBranches: ['headstand-wall'],
      cues: { FS5: 'Push the floor away; the head is only along for the ride.' },
    },
  } as const;
  addProfileVersion(db, { ...profile, savedOn, isRetired: false });
  return buildSchool(profile);
}

function addInvented(db: Db, invented: DemoPerson, lastMeeting: Day): number {
  const { name, heightM, heightTyped, massKg, consent } = invented;
  const id = addPerson(db, { name, heightM, heightTyped, massKg: massKg ?? null, consent });
  const lengths = Object.entries(invented.lengths ?? {}) as [
    keyof NonNullable<typeof invented.lengths>,
    number,
  ][];
  saveBody(db, id, {
    heightM,
    heightTyped,
    massKg: massKg ?? null,
    lengths: lengths.map(([length, metres]) => ({
      length,
      metres,
      typed: String(Math.round(metres * 1000) / 10),
    })),
  });
  saveCare(db, id, {
    consent,
    cautions: invented.cautions ?? [],
    otherWords: invented.otherWords ?? [],
    on: lastMeeting,
  });
  if (invented.screenedAgo !== undefined) {
    saveScreened(db, id, addDays(lastMeeting, -invented.screenedAgo));
  }
  for (const { about, covers, notedAgo, goodFor } of invented.clearances ?? []) {
    const notedOn = addDays(lastMeeting, -notedAgo);
    addClearance(db, id, { about, covers, notedOn, until: addDays(notedOn, goodFor) });
  }
  for (const { sign, ago } of invented.signs ?? []) {
    addSign(db, id, { sign, date: addDays(lastMeeting, -ago) });
  }
  const rungs = { 'forearm-stand': invented.presentStage, ...invented.rungs };
  for (const [family, stage] of Object.entries(rungs)) {
    saveRung(db, id, family as LadderId, stage, addDays(lastMeeting, -14));
  }
  return id;
}

/** Was somebody there on an evening? Meetings are counted back, the last one is 1. */
function came({ lastSeen = 1, missesMeeting }: DemoPerson, date: Day, lastMeeting: Day): boolean {
  const ago = daysBetween(date, lastMeeting) / 7 + 1;
  return ago >= lastSeen && ago !== missesMeeting;
}

function markAttendance(
  db: Db,
  meetings: readonly { readonly id: number; readonly date: Day }[],
  ids: ReadonlyMap<string, number>,
  lastMeeting: Day,
): void {
  for (const meeting of meetings.filter(({ date }) => date <= lastMeeting)) {
    for (const person of demoPeople) {
      const isHere = came(person, meeting.date, lastMeeting);
      const note = meeting.date === lastMeeting && isHere ? (notes[person.name] ?? '') : '';
      saveAttendance(db, meeting.id, ids.get(person.name)!, { came: isHere, note });
    }
  }
}

interface DemoDecision {
  readonly name: string;
  readonly stage: StageKey;
  /** Absent: as suggested. */
  readonly decided?: VerdictKind;
  readonly reason: string;
}

const decisions: readonly DemoDecision[] = [
  { name: 'Anselm Rook', stage: 'FS10', reason: '' },
  {
    name: 'Fenja Marsh',
    stage: 'FS9',
    decided: 'advance-with-support',
    reason: 'strong and ready; small hops with me beside her are how the fear goes',
  },
  {
    name: 'Idris Falk',
    stage: 'FS6',
    decided: 'stay',
    reason: 'elbows first, whatever the clock says',
  },
];

/** A few decisions of last week, each beside what the records really suggested then. */
function decideSome(db: Db, ids: ReadonlyMap<string, number>, on: Day): void {
  const school = shippedSchool('prop-led');
  for (const { name, stage, decided, reason } of decisions) {
    const personId = ids.get(name)!;
    const person = findPerson(db, personId)!;
    const verdict = judge(
      stage,
      openCase({
        asOf: on,
        school,
        evidence: readEvidence(db, [personId]).get(personId)!,
        care: careOf(person),
        consent: person.consent,
        present: person.present,
        equipment: [],
      }),
    );
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
      // A stop is never decided away, not even in a demo.
      decided: verdict.kind === 'stop' || decided === undefined ? verdict.kind : decided,
      reason,
      corrects: null,
    });
    if (decided !== undefined && opensStage(decided) && verdict.kind !== 'stop') {
      saveRung(db, personId, 'forearm-stand', stage, on);
    }
  }
}
