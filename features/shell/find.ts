/** What the palette finds besides places: people and rungs. */
import { stageTable } from '@/core/catalog/stages';
import { listPeople } from '@/db/people';
import { database } from '@/server/database';
import { done, type Outcome } from '@/server/result';
import { reading } from '@/server/useCase';

export interface Findable {
  readonly label: string;
  readonly href: string;
  readonly group: 'People' | 'Rungs';
}

export const listFindables = reading([], (): Outcome<readonly Findable[]> =>
  done([
    ...listPeople(database()).map(({ id, name }): Findable => ({
      label: name,
      href: `/people/${id}`,
      group: 'People',
    })),
    ...Object.entries(stageTable).map(([key, { label }]): Findable => ({
      label,
      href: `/ladders/${key}`,
      group: 'Rungs',
    })),
  ]),
);
