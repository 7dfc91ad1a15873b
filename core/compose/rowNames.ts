/** What the rows of the programme are called, for those who write it and those who read its prices. */
export const rowNames = {
  /** Each student does one sequence. */
  one: (person: number) => `one${person}`,
  /** And has at least the share of the least served. */
  least: (person: number) => `least${person}`,
  wall: (round: number, wallAt: number) => `wall${round}_${wallAt}`,
  apart: (round: number, wallAt: number) => `apart${round}_${wallAt}`,
  piece: (round: number, piece: string) => `piece${round}_${piece}`,
  hands: (round: number) => `hands${round}`,
  circles: (round: number) => `circles${round}`,
} as const;
