/** The card's drawing on screen, and what it measures on paper: 1 to 15 leaves room on A4. */
export const cardPxPerM = 235;
export const cardPrintScale = 15;
