/** What Plumb needs of a person: their body, the school's bars, what may be recorded. */
import type { BodyInput } from '@/core/body/body';
import { sidesOfCheck, type AskedSide } from '@/core/catalog/askedSides';
import { checkIds, type CheckId } from '@/core/catalog/checks';
import type { LengthUnits } from '@/core/units/length';
import type { Day } from '@/core/units/day';
import { listKnownLengths, type KnownLength } from '@/core/plumb/knownLengths';
import { listOwnPieces } from '@/db/cupboards';
import { listPeople, type PersonRow } from '@/db/people';
import { listPictures, type KeptPicture } from '@/db/pictures';
import { database } from '@/server/database';
import { whyNoPicture } from './keep';
import { readPerson } from '@/server/judging/views';

export interface PlumbCheck {
  readonly check: CheckId;
  readonly label: string;
  readonly bar: number;
  /** To choose from; empty: there are none to it. */
  readonly sides: readonly AskedSide[];
}

/** Whether the picture itself may be kept with its marks. */
export type PictureRule =
  | { readonly kind: 'never'; readonly why: string }
  | { readonly kind: 'ask' }
  | { readonly kind: 'may' };

function ruleOf(person: Pick<PersonRow, 'cautions' | 'pictureConsent'>): PictureRule {
  const why = whyNoPicture(person, true);
  if (why !== null) return { kind: 'never', why };
  return { kind: person.pictureConsent === 'ask' ? 'ask' : 'may' };
}

export interface PlumbView {
  /** Somebody was named; else the first person stands here, of whom nothing is measured. */
  readonly isWhoSaid: boolean;
  readonly person: {
    readonly id: number;
    readonly name: string;
    readonly body: BodyInput;
    readonly pictures: PictureRule;
  };
  /** What was kept of this person, newest first. */
  readonly kept: readonly KeptPicture[];
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly checks: readonly PlumbCheck[];
  /** What gives a scale: pieces of one's own first. */
  readonly lengths: readonly KnownLength[];
  /** The school stands over the first knuckle. */
  readonly isOverKnuckle: boolean;
  readonly units: LengthUnits;
  readonly today: Day;
}

/** @param id absent: the first person; `null` when there is nobody */
export function readPlumb(id: number | null): PlumbView | null {
  const people = listPeople(database());
  const chosen = people.find((one) => one.id === id) ?? people[0];
  const view = chosen === undefined ? null : readPerson(chosen.id);
  if (view === null) return null;
  const { person, school, settings, today } = view;
  return {
    isWhoSaid: chosen?.id === id,
    person: {
      id: person.id,
      name: person.name,
      body: person.body,
      pictures: ruleOf(person),
    },
    kept: listPictures(database(), person.id),
    people: people.map((one) => ({ id: one.id, name: one.name })),
    checks: checkIds.flatMap((check): PlumbCheck[] => {
      const found = school.checks.get(check);
      if (found === undefined) return [];
      const { spec, bar } = found;
      return [{ check, label: spec.label, bar, sides: sidesOfCheck(spec) }];
    }),
    lengths: listKnownLengths(listOwnPieces(database()).map(({ spec }) => spec)),
    isOverKnuckle: school.settings.shoulderPlace === 'knuckle',
    units: settings.units,
    today,
  };
}
