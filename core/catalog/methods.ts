/** What a school chooses by name, beside its words for the eye: each with what its choices are called. */
import { forearmHandsIds, forearmHandsTable } from '../body/hands';
import type { ProfileSettings } from './profiles';
import { wayUpIds, wayUpTable } from './waysUp';

type MethodId = 'forearmHands' | 'handLMethod' | 'platformMethod' | 'wayUp';

type Methods = {
  readonly [Id in MethodId]: {
    readonly label: string;
    readonly choices: Readonly<Record<ProfileSettings[Id], string>>;
  };
};

/** What the rows of a table are called. */
const labelsOf = <Id extends string>(
  ids: readonly Id[],
  table: Readonly<Record<Id, { readonly label: string }>>,
) => Object.fromEntries(ids.map((id) => [id, table[id].label])) as Record<Id, string>;

export const methodTable: Methods = {
  forearmHands: {
    label: 'Hands in a forearm stand',
    choices: labelsOf(forearmHandsIds, forearmHandsTable),
  },
  handLMethod: {
    label: 'L on the hands, measured by',
    choices: {
      sitting: 'sitting at the wall',
      table: 'table on all fours',
      reach: 'arm’s reach',
    },
  },
  platformMethod: {
    label: 'Shoulder stand, placed by',
    choices: { innerLeg: 'inner leg', legReach: 'leg reach', sitOnIt: 'sitting on it' },
  },
  wayUp: { label: 'Way up that comes first', choices: labelsOf(wayUpIds, wayUpTable) },
};

export const methodIds = Object.keys(methodTable) as [MethodId, ...MethodId[]];

/** What the choices of a method are called, by choice. */
export const choicesIn = (id: MethodId): Readonly<Record<string, string>> =>
  methodTable[id].choices;
