/** What is noted at the desk while a class runs counts in it at once, and what is taken back as well. */
import { cautionColumns, type CautionColumn } from '@/core/catalog/cautionColumns';
import { addDays } from '@/core/units/day';
import { findPerson } from '@/db/people';
import { saveScreened } from '@/db/personChanges';
import { undoRecord, recordCheck } from '@/features/person/change';
import {
  dropClearance,
  noteClearance,
  noteScreened,
  undoScreened,
} from '@/features/person/careChanges';
import { placeOnRung } from '@/features/people/change';
import { fillWithDemo, must, recordForm, withThrowawayStudio } from '@/features/testing/studio';
import { begin } from '@/features/testing/floor';
import { today } from '../clock';
import { database } from '../database';
import { findClass } from './floor';
import { bundleOf } from './floorBundle';

withThrowawayStudio();

const optionsOf = (uid: string, id: string) =>
  bundleOf(findClass(uid)!)
    .prepared.people.find((one) => one.id === id)!
    .options.map(({ id: option, atDoor, assist }) => [option, atDoor, assist]);

it('goes by a check that was recorded at the desk', () => {
  const { uid, people } = begin();
  for (const id of people) {
    const before = optionsOf(uid, id);
    const record = must(
      recordCheck(Number(id), recordForm({ check: 'forearm-plank-hold', value: '1' })),
    );
    const after = optionsOf(uid, id);
    must(undoRecord(Number(id), record));
    expect(optionsOf(uid, id)).toEqual(before);
    if (JSON.stringify(after) !== JSON.stringify(before)) return;
  }
  throw new Error('one second of plank changed nobody’s evening');
});

it('goes by a rung that was set at the desk', () => {
  const { uid, people } = begin();
  const id = people[0]!;
  const family = bundleOf(findClass(uid)!).plan.families[0]!;
  const before = optionsOf(uid, id);
  const stood = must(placeOnRung(Number(id), { family, stage: null }));
  expect(optionsOf(uid, id)).not.toEqual(before);
  must(placeOnRung(Number(id), { family, ...stood! }));
  expect(optionsOf(uid, id)).toEqual(before);
});

it('goes by a screening that was asked at the desk, and by one that was not after all', () => {
  // Somebody who was never asked, in a class that is otherwise the demo course's.
  const { uid, people } = begin(() => {
    fillWithDemo();
    saveScreened(database(), 1, null);
  });
  expect(people).toContain('1');
  const [id, newcomer] = ['1', 1];
  expect(findPerson(database(), newcomer)).toMatchObject({ screenedOn: null, cautions: [] });
  const before = optionsOf(uid, id);
  const was = must(noteScreened(newcomer));
  expect(optionsOf(uid, id)).not.toEqual(before);
  must(undoScreened(newcomer, { was }));
  expect(optionsOf(uid, id)).toEqual(before);
});

it('has the rounds planned anew by a clinician’s word that was noted at the desk, not by a check', () => {
  const { uid } = begin();
  const now = () => bundleOf(findClass(uid)!);
  const closed = now().prepared.people.find(({ refused = [] }) =>
    refused.some(({ opensWith: { word } }) => word?.includes('mild') === true),
  )!;
  const who = findPerson(database(), Number(closed.id))!;
  const before = optionsOf(uid, closed.id);
  must(recordCheck(who.id, recordForm({ check: 'forearm-plank-hold', value: '1' })));
  expect(now().openedAt).toBeUndefined();
  const notes = who.cautions.map((about) =>
    must(
      noteClearance(who.id, {
        about,
        covers: Object.keys(cautionColumns) as CautionColumn[],
        ladders: [],
        notedOn: today(),
        until: addDays(today(), 30),
      }),
    ),
  );
  expect(optionsOf(uid, closed.id).length).toBeGreaterThan(before.length);
  const { revision, openedAt } = now();
  expect(openedAt).toBe(revision);
  // Taken back it is closed again, which the plan that stands is tried against in any case.
  for (const note of notes) must(dropClearance(who.id, note));
  expect(now()).toMatchObject({ openedAt });
  expect(now().revision).toBeGreaterThan(openedAt!);
});
