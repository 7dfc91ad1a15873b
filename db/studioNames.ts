/** People by uid and classes by address: how the file of a whole studio names what tables number. */
import type { Db } from './open';
import { floorClass, person } from './schema';

export interface Names {
  /** Uid by id, both as text: plans and taps name people so. */
  readonly uids: ReadonlyMap<string, string>;
  readonly classUids: ReadonlyMap<number, string>;
}

export function readNames(db: Db): Names {
  const people = db.select({ id: person.id, uid: person.uid }).from(person).all();
  const classes = db.select({ id: floorClass.id, uid: floorClass.uid }).from(floorClass).all();
  return {
    uids: new Map(people.map(({ id, uid }) => [String(id), uid])),
    classUids: new Map(classes.map(({ id, uid }) => [id, uid])),
  };
}

/** A key names people between its strokes. */
export const mapKey = (key: string, others: ReadonlyMap<string, string>) =>
  key
    .split('/')
    .map((part) => others.get(part) ?? part)
    .join('/');

export const toOrigin = (
  { uids, classUids }: Names,
  row: { readonly classId: number | null; readonly originKey: string | null },
) => {
  const own = row.classId === null ? undefined : classUids.get(row.classId);
  if (own === undefined || row.originKey === null) return {};
  return { from: { class: own, key: mapKey(row.originKey, uids) } };
};
