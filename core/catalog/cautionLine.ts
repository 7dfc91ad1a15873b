/** The one line that stands on the first screen and on every printed card (handbook 07). */
export const cautionLine =
  'Levitar gives no medical advice and clears nobody: a doctor’s or physiotherapist’s word and the rules of the place come first.';
