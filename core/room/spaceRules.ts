/** What the space of one attempt is made of. Source: handbook 04 "Room". Metres, and shares of height. */
export const spaceRules = {
  besideMatM: 0.25,
  helperM: 0.6,
  behindM: 0.4,
  /** Walking in takes about a body's height. */
  walkInShare: 1,
  circleMarginM: 0.3,
  overheadM: 0.15,
  straddleMarginM: 0.3,
  straddleDeg: 120,
  /** Reach with the toes pointed, as a share of height. */
  reachShare: { hands: 1.22, forearms: 1.08, head: 1.08 },
} as const;
