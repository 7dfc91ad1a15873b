/** The places of the application, in one list: header, bar, drawer and palette show them. */
export const places = [
  { href: '/', label: 'Tonight', when: 'before' },
  { href: '/plan', label: 'Plan', when: 'before' },
  { href: '/floor', label: 'Floor', when: 'during' },
  { href: '/people', label: 'People', when: 'always' },
  { href: '/ladders', label: 'Ladders', when: 'always' },
  { href: '/checks', label: 'Checks', when: 'always' },
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
  { href: '/plan/print?course=1', label: 'Print the class', when: 'before' },
  { href: '/cards', label: 'Set-up cards', when: 'before' },
  { href: '/home-practice', label: 'Home practice', when: 'after' },
  { href: '/record/right', label: 'Was it right?', when: 'after' },
  { href: '/people/import', label: 'Import people', when: 'always' },
] as const satisfies readonly { href: string; label: string; when: When }[];

export const isHere = (href: string, path: string): boolean =>
  href === '/'
    ? path === '/'
    : path.startsWith(href) || (href === '/profiles' && path === '/entries');
