/** What a file brought, or would bring. */
export interface StudioCounts {
  peopleNew: number;
  /** Here already: what is here stays, restrictions and records that are missing are added. */
  peopleKnown: number;
  /** Deleted here on request; they stay deleted. */
  peopleRemoved: number;
  recordsNew: number;
  recordsKnown: number;
  coursesNew: number;
  coursesKnown: number;
  classesNew: number;
  profilesNew: number;
  entriesNew: number;
}
