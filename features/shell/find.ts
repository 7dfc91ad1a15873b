/** What the palette finds besides places and what can be done: people, rungs, set-ups. */
import { shapeIds, getShape } from '@/core/shapes/registry';
import { listPeople } from '@/db/people';
import { database } from '@/server/database';
import { readCatalog } from '@/server/judging/schools';
import { done, type Outcome } from '@/server/result';
import { reading } from '@/server/useCase';

export interface Findable {
  readonly label: string;
  readonly href: string;
  readonly group: 'People' | 'Rungs' | 'Set-ups';
}

export const listFindables = reading([], (): Outcome<readonly Findable[]> =>
  done([
    ...listPeople(database()).map(({ id, name }): Findable => ({
      label: name,
      href: `/people/${id}`,
      group: 'People',
    })),
    // The teacher's own stages among them.
    ...Object.entries(readCatalog(database()).stages).map(([key, { label }]): Findable => ({
      label,
      href: `/ladders/${key}`,
      group: 'Rungs',
    })),
    ...shapeIds.map((id): Findable => ({
      label: `${getShape(id).label}, on the bench`,
      href: `/bench?shape=${id}`,
      group: 'Set-ups',
    })),
  ]),
);
