/** From where a check is looked at, and what it is read off. Source: handbook 03 "Checks", 11. */

export const viewTable = {
  side: 'from the side',
  front: 'from the front',
  behind: 'from behind',
  above: 'from above',
  near: 'from close by',
} as const satisfies Record<string, string>;

export const instrumentTable = {
  eye: 'by eye',
  clock: 'by the clock',
  count: 'counted',
  tape: 'with a tape or a ruler',
  angle: 'with an angle measure or off a picture',
  scale: 'on a scale',
  sheet: 'with a sheet of paper',
  word: 'in the student’s own words',
} as const satisfies Record<string, string>;

export type CheckView = keyof typeof viewTable;
export type InstrumentId = keyof typeof instrumentTable;
export const checkViews = Object.keys(viewTable) as [CheckView, ...CheckView[]];
export const instrumentIds = Object.keys(instrumentTable) as [InstrumentId, ...InstrumentId[]];

export interface Taking {
  readonly view: CheckView;
  readonly instrument: InstrumentId;
}

/** `From the side, by the clock` */
function sayTaking({ view, instrument }: Taking): string {
  const words = `${viewTable[view]}, ${instrumentTable[instrument]}`;
  return words[0]!.toUpperCase() + words.slice(1);
}

/** How a check is taken, in whole sentences; undefined where its teacher never said. */
export function sayMethod({
  taking,
  method,
}: {
  readonly taking?: Taking | undefined;
  readonly method?: string | undefined;
}): string | undefined {
  const parts = [taking === undefined ? '' : `${sayTaking(taking)}.`, method ?? ''];
  const said = parts.filter((words) => words !== '').join(' ');
  return said === '' ? undefined : said;
}
