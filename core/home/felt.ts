/** How practice at home felt, in the student's own word. */
export const feltWords = { easy: 'easy', right: 'about right', hard: 'hard' } as const;

export type Felt = keyof typeof feltWords;
export const feltIds = Object.keys(feltWords) as [Felt, ...Felt[]];
