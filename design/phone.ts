/** Where a screen is as narrow as a phone's: the style sheets' own width. */
export const phoneQuery = '(max-width: 40em)';
