/** What an assistant's device calls a check that is the teacher's alone: it does not say which. */
export type HiddenCheck = `ask the teacher${string}`;

const hidden = /^ask the teacher( \d{1,3})?$/;

export const isHiddenCheck = (label: string): label is HiddenCheck => hidden.test(label);
