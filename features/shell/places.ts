/** The places of the application, in one list: header, bar, drawer and palette show them. */
export const places = [
  { href: '/', label: 'Tonight', when: 'before' },
  { href: '/plan', label: 'Plan', when: 'before' },
  { href: '/plan/print', label: 'Print', when: 'before' },
  { href: '/floor', label: 'Floor', when: 'during' },
  { href: '/people', label: 'People', when: 'always' },
  { href: '/ladders', label: 'Ladders', when: 'always' },
  { href: '/checks', label: 'Checks', when: 'always' },
  { href: '/review', label: 'Review', when: 'after' },
  { href: '/home-practice', label: 'Home practice', when: 'after' },
  { href: '/record', label: 'Record', when: 'after' },
  { href: '/room', label: 'Room', when: 'always' },
  { href: '/courses', label: 'Courses', when: 'always' },
  { href: '/profiles', label: 'Profiles', when: 'always' },
  { href: '/bench', label: 'Bench', when: 'always' },
  { href: '/plumb', label: 'Plumb', when: 'always' },
  { href: '/settings', label: 'Settings', when: 'always' },
] as const;

export type Place = (typeof places)[number];
/** When in an evening a place is wanted; always: whenever the studio is. */
export type When = Place['when'];

export const whenWords: Readonly<Record<When, string>> = {
  before: 'Before the class',
  during: 'On the floor',
  after: 'After the class',
  always: 'The studio',
};
export const whens = Object.keys(whenWords) as When[];

/** Pages without a place of their own in the header. */
export const furtherPages = [
  { href: '/cards', label: 'Set-up cards', when: 'before' },
  { href: '/record/right', label: 'Was it right?', when: 'after' },
  { href: '/people/import', label: 'Import people', when: 'always' },
] as const satisfies readonly { href: string; label: string; when: When }[];

/** The longest address that a path lies under is where one is. */
export const isHere = (href: string, path: string): boolean =>
  href === '/'
    ? path === '/'
    : isUnder(href, path) &&
      !places.some((other) => other.href.length > href.length && isUnder(other.href, path));

const isUnder = (href: string, path: string) =>
  path === href ||
  path.startsWith(`${href}/`) ||
  (href === '/profiles' && path === '/entries') ||
  // Home practice of one person belongs to what comes after.
  (href === '/home-practice' && /^\/people\/\d+\/home$/.test(path));

/** What comes after a place in the course of an evening; `null` for what the studio always has. */
export function nextPlace(path: string): Place | null {
  const evening = places.filter(({ when }) => when !== 'always');
  const at = evening.findIndex(({ href }) => isHere(href, path));
  return at === -1 ? null : (evening[at + 1] ?? null);
}
