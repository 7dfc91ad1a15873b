/** The keys that every page listens to; what they and all others do is in the table of `shortcuts`. */
export const findKey = 'mod+K';
export const helpKey = '?';
