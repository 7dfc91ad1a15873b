import { entryKinds, type OwnEntries } from '@/core/catalog/entries';
import { profileIds } from '@/core/catalog/profiles';
import {
  shippedProfile,
  type Catalog,
  type ProfileVersion,
  type School,
} from '@/core/catalog/school';
import { findProfile, listProfiles, readEntries, type StoredProfile } from '@/db/profiles';
import type { Db } from '@/db/open';
import { listCourses } from '@/db/courses';
import { database } from '@/server/database';
import { freeName, isShippedProfile } from './change';
import { readCatalog, readSchool } from '@/server/judging/schools';

export interface ProfilesView {
  readonly shipped: readonly ProfileVersion[];
  readonly copies: readonly StoredProfile[];
  readonly catalog: Catalog;
  readonly ownCount: number;
  /** What a copy of it could be called. */
  readonly nameFor: (profile: ProfileVersion) => string;
}

const nameForCopy = (db: Db, { label }: ProfileVersion) => freeName(db, `${label}, my way`);

export function readProfiles(): ProfilesView {
  const db = database();
  const entries = readEntries(db);
  return {
    shipped: profileIds.map(shippedProfile),
    copies: listProfiles(db),
    catalog: readCatalog(db),
    nameFor: (profile) => nameForCopy(db, profile),
    ownCount: entryKinds.reduce((sum, kind) => sum + Object.keys(entries[kind]).length, 0),
  };
}

export interface ProfilePageView {
  readonly profile: ProfileVersion;
  readonly isShipped: boolean;
  readonly school: School;
  readonly catalog: Catalog;
  readonly nameForCopy: string;
  /** Every course, and the profile it is judged with. */
  readonly courses: readonly CourseProfile[];
}

export interface CourseProfile {
  readonly id: number;
  readonly name: string;
  readonly place: string;
  readonly profile: string;
}

/** A shipped profile, or the newest version of a copy; `null` when there is none. */
export function readProfilePage(key: string): ProfilePageView | null {
  const db = database();
  const isShipped = isShippedProfile(key);
  const stored = isShipped ? null : findProfile(db, key);
  if (!isShipped && (stored === null || stored.isRetired)) return null;
  const school = readSchool(db, key);
  const catalog = readCatalog(db);
  return {
    profile: school.profile,
    isShipped,
    school,
    catalog,
    nameForCopy: nameForCopy(db, school.profile),
    courses: listCourses(db).map(({ id, name, place, profile }) => ({ id, name, place, profile })),
  };
}

export const readOwnEntries = (): OwnEntries => readEntries(database());

/** The teacher's own entries as the file that travels. */
export const writeEntriesFile = () => ({
  format: 'levitar-entries',
  version: 1,
  ...readOwnEntries(),
});

/** A copy as the file that travels; `null` when there is none. */
export function writeProfileFile(key: string) {
  const view = readProfilePage(key);
  if (view === null) return null;
  const { label, origin, changes } = view.profile;
  return { format: 'levitar-profile', version: 1, label, origin, changes };
}
