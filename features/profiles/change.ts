/** Profile copies and a teacher's own entries: validated like what ships, kept in versions. */
import { ownKey } from '@/core/catalog/namedKeys';
import { exact } from '@/core/exact';
import { z } from 'zod';
import { lineOf } from '@/core/units/text';
import type { Day } from '@/core/units/day';
import {
  entriesFile,
  entryKinds,
  entrySchemas,
  layOver,
  type EntryKind,
  type OwnEntries,
} from '@/core/catalog/entries';
import { profileChangesSchema, profileFile } from '@/core/catalog/profileChanges';
import { profileIds } from '@/core/catalog/profiles';
import { buildSchool, type ProfileChanges, type ProfileVersion } from '@/core/catalog/school';
import { validateProfile } from '@/core/catalog/validate';
import { compareSchools } from '@/core/ladder/compare';
import { listPieces } from '@/db/cupboards';
import {
  addProfileVersion,
  countProfiles,
  findProfile,
  listProfiles,
  readEntries,
  removeEntry,
  saveEntry,
  type StoredProfile,
} from '@/db/profiles';
import type { Db } from '@/db/open';
import { readCases } from '@/server/judging/cases';
import { today } from '@/server/clock';
import { noteInDiary } from '@/server/network/asking';
import { done, refuse, toProblems, type Outcome } from '@/server/result';
import { change, field, work } from '@/server/useCase';
import { listProfileChoices, readCatalog, readProfile, readSchool } from '@/server/judging/schools';
import { findNextCourse, listComing } from '@/server/judging/views';

const label = z.string().overwrite(lineOf).min(1, 'Write a name.').max(60, 'At most 60 signs.');
const goneProfile = { form: 'This copy is no longer here.' };
const profileKey = z.string(goneProfile.form).max(60, goneProfile.form);

const takenName = { label: 'There is a profile of this name already. Choose another one.' };

/** Names are compared as they are read: without regard to case. */
const isNameTaken = (db: Db, name: string, own?: string): boolean =>
  listProfileChoices(db).some(
    ({ key, label: other }) => key !== own && other.toLowerCase() === name.toLowerCase(),
  );

/** The name itself, or with the next free number behind it. */
export function freeName(db: Db, name: string): string {
  if (!isNameTaken(db, name)) return name;
  let number = 2;
  while (isNameTaken(db, `${name} ${number}`)) number += 1;
  return `${name} ${number}`;
}

/** @returns the key of the new copy */
export const copyProfile = change(
  [profileKey, field('label', label)],
  ({ db }, from, called): Outcome<string> => {
    if (isNameTaken(db, called)) return refuse(takenName);
    const { origin, changes } = readProfile(db, from);
    return done(addCopy(db, called, origin, changes));
  },
);

function addCopy(
  db: Db,
  name: string,
  origin: ProfileVersion['origin'],
  changes: ProfileChanges,
): string {
  const key = `own-${countProfiles(db) + 1}`;
  noteInDiary(db, 'profile-changed');
  addProfileVersion(db, {
    key,
    version: 1,
    label: name,
    origin,
    changes,
    savedOn: today(),
    isRetired: false,
  });
  return key;
}

const profileForm = z.strictObject({
  label,
  changes: profileChangesSchema,
  /** The version that the form was opened with. */
  seen: z.int().positive(),
});

/** Saves a new version of a copy; older ones stay, so that old verdicts can be explained. */
export const changeProfile = change(
  [profileKey, profileForm],
  ({ db: tx, today }, key, form): Outcome<number> => {
    const stored = findProfile(tx, key);
    if (stored === null || stored.isRetired) return refuse(goneProfile);
    if (stored.version !== form.seen) {
      return {
        ok: false,
        problems: {
          form: `Saved in another window meanwhile (version ${stored.version}). Nothing was overwritten; open it again to see both.`,
        },
        now: stored.version,
      };
    }
    if (isNameTaken(tx, form.label, stored.key)) return refuse(takenName);
    const next = { ...stored, ...exact(form), version: stored.version + 1 };
    const problems = validateProfile(next, readCatalog(tx));
    if (problems.length > 0) return refuse(toLines(problems));
    noteInDiary(tx, 'profile-changed');
    addProfileVersion(tx, {
      key: stored.key,
      version: next.version,
      label: form.label,
      origin: stored.origin,
      changes: exact(form.changes),
      savedOn: today,
      isRetired: false,
    });
    return done(next.version);
  },
);

const toLines = (problems: readonly { where: string; message: string }[]) => ({
  ...Object.fromEntries(problems.map(({ where, message }) => [where, `${where} ${message}.`])),
  form: problems.map(({ where, message }) => `${where} ${message}`).join('; '),
});

/** A version of its own: old verdicts can still be explained. */
function saveTurned(db: Db, stored: StoredProfile, savedOn: Day, isRetired: boolean): void {
  noteInDiary(db, 'profile-changed');
  addProfileVersion(db, { ...stored, version: stored.version + 1, savedOn, isRetired });
}

/** Puts a copy away. Courses that used it go on with its origin. */
export const retireProfile = change([profileKey], ({ db, today }, key): Outcome => {
  const stored = findProfile(db, key);
  if (stored === null || stored.isRetired) return refuse(goneProfile);
  saveTurned(db, stored, today, true);
  return done(undefined);
});

/** A copy that was put away, in use again where it was. */
export const bringProfileBack = change([profileKey], ({ db, today }, key): Outcome => {
  const stored = findProfile(db, key);
  if (stored === null) return refuse(goneProfile);
  if (!stored.isRetired) return done(undefined);
  // Meanwhile another may have its name, and an entry that it asks for may be gone.
  if (isNameTaken(db, stored.label, key)) return refuse({ form: takenName.label });
  const problems = validateProfile(stored, readCatalog(db));
  if (problems.length > 0) return refuse(toLines(problems));
  saveTurned(db, stored, today, false);
  return done(undefined);
});

export interface ProfilePreview {
  readonly problems: readonly string[];
  /** Verdicts that would turn: who, where, from what to what. */
  readonly changes: readonly {
    readonly personId: number;
    readonly name: string;
    readonly stage: string;
    readonly before: string;
    readonly after: string;
    readonly reason: string;
  }[];
}

/** What a changed copy would change for whom, before anything is saved. */
export const previewProfile = work(
  [profileKey, profileChangesSchema],
  ({ db, today }, key, changes): Outcome<ProfilePreview> => {
    const stored = findProfile(db, key);
    if (stored === null) return refuse(goneProfile);
    const catalog = readCatalog(db);
    const next: ProfileVersion = { ...stored, changes: exact(changes) };
    const problems = validateProfile(next, catalog).map(
      ({ where, message }) => `${where} ${message}`,
    );
    if (problems.length > 0) return done({ problems, changes: [] });
    const before = readSchool(db, stored.key);
    const after = buildSchool(next, catalog);
    const people = listComing(db, today);
    const course = findNextCourse(db, today);
    const pieces = course === null ? [] : listPieces(db, course.id);
    const cases = readCases(db, people, () => ({ school: before, day: today, pieces }));
    const turned = compareSchools(
      people.map((person) => {
        const { school: _, ...rest } = cases.get(person.id)!;
        return { id: person.id, person: rest };
      }),
      before,
      after,
    );
    const names = new Map(people.map(({ id, name }) => [id, name]));
    return done({
      problems: [],
      changes: turned.map(({ personId, stage, ...rest }) => ({
        personId,
        name: names.get(personId) ?? '',
        stage: after.stages.get(stage)?.spec.label ?? stage,
        ...rest,
      })),
    });
  },
);

const tooLarge = 'This file is too large to be one of ours.';
const fileText = z.string(tooLarge).max(2_000_000, tooLarge);

/** A colleague's profile as a file. @returns the key of the new copy */
export const importProfile = change([fileText], ({ db: tx }, text): Outcome<string> => {
  const read = readJson(text);
  if (!read.ok) return read;
  const parsed = profileFile.safeParse(read.value);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const { label: name, origin, changes } = exact(parsed.data);
  const profile = { key: 'own-new', version: 1, label: name, origin, changes };
  const problems = validateProfile(profile, readCatalog(tx));
  if (problems.length > 0) return refuse(toLines(problems));
  return done(addCopy(tx, freeName(tx, name), origin, changes));
});

function readJson(text: string): Outcome<unknown> {
  try {
    return done(JSON.parse(text));
  } catch {
    return refuse({ form: 'This file is not JSON. Nothing was stored.' });
  }
}

/** Lays entries over the catalog and refuses the whole when anything is wrong. */
function checkEntries(entries: OwnEntries): Outcome {
  const { problems } = layOver(entries);
  return problems.length === 0 ? done(undefined) : refuse(toLines(problems));
}

const entryKind = z.enum(entryKinds, 'A stage, a branch, a drill or a check.');

/** A stage, branch, drill or check of the teacher's own. */
export const keepEntry = change(
  [entryKind, field('key', ownKey), z.unknown()],
  ({ db }, kind, key, spec): Outcome => {
    const parsed = entrySchemas[kind].safeParse(spec);
    if (!parsed.success) return refuse(toProblems(parsed.error));
    const entries = readEntries(db);
    const taken = entryKinds.find((other) => other !== kind && key in entries[other]);
    if (taken) return refuse({ key: `Already the key of one of your ${taken}.` });
    if (key in entries[kind]) {
      return refuse({ label: 'You have one of this name already; take it out first.' });
    }
    const checked = checkEntries({
      ...entries,
      [kind]: { ...entries[kind], [key]: parsed.data },
    });
    if (!checked.ok) return checked;
    saveEntry(db, key, kind, parsed.data);
    return done(undefined);
  },
);

export const dropEntry = change([entryKind, ownKey], ({ db: tx }, kind, key): Outcome => {
  const entries = readEntries(tx);
  const { [key]: gone, ...rest } = entries[kind] as Record<string, unknown>;
  if (gone === undefined) return refuse({ form: 'There is no such entry.' });
  // Something else may stand on it: then it stays.
  const left = { ...entries, [kind]: rest } as OwnEntries;
  const checked = checkEntries(left);
  if (!checked.ok) return checked;
  const { catalog } = layOver(left);
  for (const profile of listProfiles(tx)) {
    const [problem] = validateProfile(profile, catalog);
    if (problem)
      return refuse({
        form: `Your profile ${profile.label} still asks for it: ${problem.where}.`,
      });
  }
  removeEntry(tx, key);
  return done(undefined);
});

/** A colleague's entries as a file: all of them or none. @returns how many were added or changed */
export const importEntries = change([fileText], ({ db: tx }, text): Outcome<number> => {
  const read = readJson(text);
  if (!read.ok) return read;
  const parsed = entriesFile.safeParse(read.value);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const own = readEntries(tx);
  const whole = Object.fromEntries(
    entryKinds.map((kind) => [kind, { ...own[kind], ...parsed.data[kind] }]),
  ) as unknown as OwnEntries;
  const checked = checkEntries(whole);
  if (!checked.ok) return checked;
  let count = 0;
  for (const kind of entryKinds as readonly EntryKind[]) {
    for (const [key, spec] of Object.entries(parsed.data[kind])) {
      saveEntry(tx, key, kind, spec);
      count += 1;
    }
  }
  return done(count);
});

export const isShippedProfile = (key: string) => profileIds.some((id) => id === key);
