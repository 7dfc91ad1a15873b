import { layOver, type OwnEntries } from '@/core/catalog/entries';
import { profileIds, type ProfileId } from '@/core/catalog/profiles';
import {
  buildSchool,
  shippedCatalog,
  shippedProfile,
  type Catalog,
  type ProfileVersion,
  type School,
} from '@/core/catalog/school';
import { findProfile, listProfiles, readEntries } from '@/db/profiles';
import type { Db } from '@/db/open';

const isShipped = (key: string): key is ProfileId => profileIds.some((id) => id === key);

/** The catalog as this teacher has it. Entries that no longer fit are left out as a whole. */
export function readCatalog(db: Db): Catalog {
  const { catalog, problems } = layOver(readEntries(db));
  return problems.length === 0 ? catalog : shippedCatalog;
}

/** A profile by key; a copy that is gone falls back to the one that ships first. */
export function readProfile(db: Db, key: string, version?: number): ProfileVersion {
  if (isShipped(key)) return shippedProfile(key);
  return findProfile(db, key, version) ?? shippedProfile(profileIds[0]);
}

// Building a school takes a few milliseconds; the same few are asked for on every page.
interface Built {
  readonly profile: ProfileVersion;
  readonly entries: OwnEntries;
  readonly stamp: string;
  readonly school: School;
}
let built: Built[] = [];
const mostKept = 8;

/** The school of a profile over the teacher's catalog, ready to judge with. */
export function readSchool(db: Db, key: string, version?: number): School {
  const profile = readProfile(db, key, version);
  const entries = readEntries(db);
  const same = built.find((one) => one.profile === profile && one.entries === entries);
  if (same) return same.school;
  // What says the same is the same school, read anew as it may be: judgements hang on it.
  const stamp = JSON.stringify([profile, entries]);
  const equal = built.find((one) => one.stamp === stamp);
  const school = equal?.school ?? buildSchool(profile, readCatalog(db));
  built = [{ profile, entries, stamp, school }, ...built.filter((one) => one !== equal)].slice(
    0,
    mostKept,
  );
  return school;
}

export interface ProfileChoice {
  readonly key: string;
  readonly label: string;
  readonly origin: ProfileId;
  readonly version: number;
}

/** The shipped profiles and the teacher's copies, as a picker shows them. */
export function listProfileChoices(db: Db): ProfileChoice[] {
  return [...profileIds.map(shippedProfile), ...listProfiles(db)].map(
    ({ key, label, origin, version }) => ({ key, label, origin, version }),
  );
}
