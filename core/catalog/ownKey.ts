/** Keys of a teacher's own entries, apart from every key that ships now or later. */
export type OwnKey = `own-${string}`;
