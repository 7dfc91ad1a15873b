/** The guided beginning: one screen a step, each of use by itself, each left out or taken up again. */
export const beginSteps = {
  place: { label: 'Place and day', asks: 'Where and when you meet' },
  people: { label: 'People', asks: 'Who comes' },
  room: { label: 'Room', asks: 'What the room is like' },
  cupboard: { label: 'Cupboard', asks: 'What lies in the cupboard' },
  placing: { label: 'Placing', asks: 'What you have seen them do' },
  class: { label: 'First class', asks: 'The first class' },
} as const;

export type BeginStep = keyof typeof beginSteps;
export const beginStepIds = Object.keys(beginSteps) as [BeginStep, ...BeginStep[]];

export const isBeginStep = (text: string): text is BeginStep =>
  beginStepIds.some((one) => one === text);

/** Where a step lies. */
export const stepHref = (step: BeginStep, courseId: number | null): string =>
  `/begin/${step}${courseId === null ? '' : `?course=${courseId}`}`;

/** The step after this one; the last has none. */
export const nextStep = (step: BeginStep): BeginStep | null =>
  beginStepIds[beginStepIds.indexOf(step) + 1] ?? null;

/** What there is already, step by step. */
export type BeginDone = Readonly<Record<BeginStep, boolean>>;

/** The first step that has nothing yet; all done: the class. */
export const firstOpenStep = (done: BeginDone): BeginStep =>
  beginStepIds.find((step) => !done[step]) ?? 'class';
