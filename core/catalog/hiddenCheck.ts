/** What stands where a check is named, and is none. Devices on the floor read it: nothing heavy here. */

/** The first questions, asked at the door of whoever was never asked, and answered like a check. */
export const screeningKey = 'screening';

/** Asked at the door of whoever was sore before: is it gone? Answered like a check, and none. */
export const soreBeforeKey = 'sore-before';

/** All that is asked at the door and is no check. */
export const askedAside = [screeningKey, soreBeforeKey] as const;

/** What an assistant's device calls a check that is the teacher's alone: it does not say which. */
export const hiddenWords = 'ask the teacher';
/** Behind the words, where there are several: which of them. */
export const hiddenNumber = /^( \d{1,3})?$/;

export type HiddenCheck = `${typeof hiddenWords}${string}`;

export const isHiddenCheck = (label: string): label is HiddenCheck =>
  label.startsWith(hiddenWords) && hiddenNumber.test(label.slice(hiddenWords.length));
