/** Who comes into a running class, and what others are sent of it. */
import { findPerson, listCoursePeople, listPeople } from '@/db/people';
import { changeCare, recordCheck } from '@/features/person/change';
import { today } from '@/server/clock';
import { changeEnrolment } from '@/features/courses/change';
import { database } from '@/server/database';
import { findClass, takeTaps } from '@/server/running/floor';
import { bundleFor, bundleOf } from '@/server/running/floorBundle';
import { joinClass, leaveClass } from './joinClass';
import { mergeInto } from '@/features/people/change';
import { takeStudioFile, writeStudioFile } from '@/server/files/studioFile';
import {
  addPerson,
  must,
  readStudio,
  recordForm,
  withThrowawayStudio,
} from '@/features/testing/studio';
import { begin, tapsOf, send, hold, recordsToday, assistantTaps } from '@/features/testing/floor';

withThrowawayStudio();

describe('somebody at the door', () => {
  it('is let in, added to the course, and judged like everybody else', () => {
    const { uid, people } = begin();
    const { person: id } = must(joinClass(uid, { name: 'Odile Marsh', height: '171' }));
    const bundle = bundleOf(findClass(uid)!);
    expect(bundle.members.map((member) => member.id)).toEqual([...people, id]);
    const judged = bundle.prepared.people.find((one) => one.id === id)!;
    expect(judged.options.length).toBeGreaterThan(0);
    // Nothing was seen of them yet: neither a neck nor a wall is open.
    for (const option of judged.options) {
      if (option.role === 'alternative') continue;
      expect([option.alongM, option.loads.neck ?? 0]).toEqual([undefined, 0]);
    }
    expect(bundle.revision).toBe(1);
    expect(listCoursePeople(database(), 1).map((one) => String(one.id))).toContain(id);
    // Their taps count from now on.
    expect(send(uid, tapsOf(hold([id, people[0]!])))).toMatchObject({ refused: 0, revision: 1 });
    expect(recordsToday(id)).toHaveLength(1);
  });

  it('may be somebody known; nobody without a name, a height or a class comes in', () => {
    const { uid, people } = begin();
    const known = addPerson('Teo Lind');
    expect(must(joinClass(uid, { person: known }))).toEqual({
      person: String(known),
      isEnrolledNow: true,
    });
    const before = listPeople(database()).length;
    expect(joinClass(uid, { name: '', height: '170' }).ok).toBe(false);
    expect(joinClass(uid, { name: 'A', height: 'tall' }).ok).toBe(false);
    expect(joinClass(uid, { person: 9999 }).ok).toBe(false);
    expect(joinClass('nothing', { name: 'A', height: '170' }).ok).toBe(false);
    send(uid, tapsOf([{ kind: 'end' }]));
    expect(joinClass(uid, { name: 'A', height: '170' })).toMatchObject({
      problems: { form: 'This class has ended.' },
    });
    expect(listPeople(database())).toHaveLength(before);
    expect(bundleOf(findClass(uid)!).members).toHaveLength(people.length + 1);
  });

  it('is out of the course again when it is taken back, and only who came in now', () => {
    const { uid, people } = begin();
    const enrolled = () => listCoursePeople(database(), 1).map((one) => String(one.id));
    expect(must(joinClass(uid, { person: Number(people[0]) })).isEnrolledNow).toBe(false);
    const { person, isEnrolledNow } = must(joinClass(uid, { name: 'Odile Marsh', height: '171' }));
    expect(isEnrolledNow).toBe(true);
    must(leaveClass(uid, Number(person)));
    expect(enrolled()).not.toContain(person);
    // In the class their taps still say who was away.
    expect(bundleOf(findClass(uid)!).members.map(({ id }) => id)).toContain(person);
    expect(leaveClass('nothing', Number(person)).ok).toBe(false);
  });

  it('who is reported something during the class is closed in it at once', () => {
    const { uid, people } = begin();
    const planned = (id: string) =>
      bundleOf(findClass(uid)!).prepared.people.find((one) => one.id === id)!;
    const isDown = ({ isRest }: { isRest?: boolean }) => isRest !== true;
    expect(planned(people[0]!).options.filter(isDown).length).toBeGreaterThan(0);
    must(
      changeCare(Number(people[0]), {
        consent: 'no',
        pictureConsent: 'no',
        cautions: ['eye'],
        otherWords: [],
      }),
    );
    const { members, prepared, revision } = bundleOf(findClass(uid)!);
    expect(revision).toBe(1);
    expect(members.find(({ id }) => id === people[0])!.consent).toBe('no');
    const now = prepared.people.find(({ id }) => id === people[0])!;
    expect(now.options.some(({ role }) => role === 'present' || role === 'next')).toBe(false);
    expect(prepared.people.slice(1).map(({ id }) => id)).toEqual(people.slice(1));
    // Pain said while something is recorded closes what loads the place.
    const record = {
      check: 'dolphin-hold',
      value: '20',
      pain: true,
      painPlace: 'shoulder',
    } as const;
    must(recordCheck(Number(people[1]), recordForm(record)));
    const sore = bundleOf(findClass(uid)!);
    expect(sore.revision).toBe(2);
    expect(
      sore.prepared.people[1]!.options.filter(({ loads }) => (loads.shoulder ?? 0) > 0),
    ).toEqual([]);
    // Once the class has ended, it stays as it was.
    send(uid, tapsOf([{ kind: 'end' }]));
    must(
      changeCare(Number(people[1]), {
        consent: 'no',
        pictureConsent: 'no',
        cautions: [],
        otherWords: [],
      }),
    );
    expect(bundleOf(findClass(uid)!).revision).toBe(2);
  });
});

it('who is reported something is closed also when withdrawn from the course meanwhile, or by a file', () => {
  const { uid, people } = begin();
  const before = [...writeStudioFile()].join('');
  const mayGoUp = (id: string) =>
    bundleOf(findClass(uid)!)
      .prepared.people.find((one) => one.id === id)!
      .options.some(({ role }) => role === 'present' || role === 'next');
  const [a, b] = people;
  expect([mayGoUp(a!), mayGoUp(b!)]).toEqual([true, true]);
  must(changeEnrolment(1, Number(a), false));
  must(
    changeCare(Number(a), {
      consent: 'ask',
      pictureConsent: 'no',
      cautions: ['eye'],
      otherWords: [],
    }),
  );
  expect([mayGoUp(a!), mayGoUp(b!)]).toEqual([false, true]);
  const file = readStudio(before);
  const { uid: other } = findPerson(database(), Number(b))!;
  const restricting = {
    ...file,
    people: file.people.map((one) =>
      one.uid === other
        ? { ...one, cautions: [...one.cautions, { caution: 'eye', notedOn: today() }] }
        : one,
    ),
  };
  must(takeStudioFile(JSON.stringify(restricting), false));
  expect(mayGoUp(b!)).toBe(true);
  must(takeStudioFile(JSON.stringify(restricting), true));
  expect(mayGoUp(b!)).toBe(false);
});

it('whoever is in a running class is merged with nobody until it has ended', () => {
  const { uid, people } = begin();
  const [a, b] = people.map(Number);
  const outside = addPerson('Teo Lind');
  send(uid, tapsOf(hold([String(a), String(b)])));
  for (const [keep, drop] of [
    [a, b],
    [outside, a],
    [a, outside],
  ]) {
    expect(mergeInto(keep!, drop!)).toMatchObject({
      problems: { form: expect.stringMatching(/running/) },
    });
  }
  expect(recordsToday(String(b))).toHaveLength(1);
  send(uid, tapsOf([{ kind: 'end' }]));
  must(mergeInto(outside, b!));
  expect(recordsToday(String(outside))).toHaveLength(1);
});

describe('an assistant', () => {
  it('is sent a class without a word of anybody’s health', () => {
    const { uid, people } = begin();
    send(uid, tapsOf([{ kind: 'sign', person: people[0]!, sign: 'tingling' }]));
    send(uid, tapsOf([{ kind: 'door', person: people[1]!, check: 'neck-ease', isFine: false }]));
    // Also of somebody who came in late, or was judged anew.
    must(joinClass(uid, { name: 'Odile Marsh', height: '171' }));
    must(
      changeCare(Number(people[2]), {
        consent: 'ask',
        pictureConsent: 'no',
        cautions: ['eye'],
        otherWords: [],
      }),
    );
    const bundle = bundleFor('assistant', bundleOf(findClass(uid)!));
    const answer = must(takeTaps(uid, { device: 'h', after: 0, taps: [] }, assistantTaps));
    const text = JSON.stringify([bundle.plan, bundle.prepared, bundle.members, answer.taps]);
    expect(text).not.toMatch(/caution|clinician|pain|tingling|ringing|headache|neck-ease|massKg/i);
    expect(bundle.prepared.people.every(({ shut, weak }) => shut.length + weak.length === 0)).toBe(
      true,
    );
    expect(bundle.members.every(({ consent }) => ['yes', 'ask', 'no'].includes(consent))).toBe(
      true,
    );
    expect(answer.taps.map(({ act }) => act.kind)).toEqual(['halt', 'door']);
  });

  it('cannot end the class, whatever its device sends', () => {
    const { uid, row } = begin();
    const [end] = tapsOf([{ kind: 'end' }], 'h');
    const answer = must(takeTaps(uid, { device: 'h', after: 0, taps: [end] }, assistantTaps));
    expect(answer).toMatchObject({ refused: 1, upTo: 1 });
    expect(findClass(row.uid)!.endedMs).toBeNull();
  });
});
