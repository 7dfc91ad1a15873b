/** What the palette finds besides places and what can be done: people, rungs, set-ups, bars. */
import { z } from 'zod';
import { shapeIds, getShape } from '@/core/shapes/registry';
import { inSentence } from '@/core/units/words';
import { isPrivateCheck } from '@/core/running/hide';
import { listPeople } from '@/db/people';
import { listProfiles } from '@/db/profiles';
import { database } from '@/server/database';
import { readCatalog } from '@/server/judging/schools';
import { done, type Outcome } from '@/server/result';
import { readPersonPage } from '@/features/person/read';
import { reading } from '@/server/useCase';

export interface Findable {
  readonly label: string;
  readonly href: string;
  readonly group: 'To do' | 'People' | 'Rungs' | 'Set-ups' | 'Bars';
}

export const listFindables = reading([], (): Outcome<readonly Findable[]> => {
  const catalog = readCatalog(database());
  return done([
    ...listPeople(database()).map(({ id, name }): Findable => ({
      label: name,
      href: `/people/${id}`,
      group: 'People',
    })),
    // The teacher's own stages among them.
    ...Object.entries(catalog.stages).map(([key, { label }]): Findable => ({
      label,
      href: `/ladders/${key}`,
      group: 'Rungs',
    })),
    ...shapeIds.map((id): Findable => ({
      label: `${getShape(id).label}, on the bench`,
      href: `/bench?shape=${id}`,
      group: 'Set-ups',
    })),
    // A teacher's own copies alone: what ships stays as it is.
    ...listProfiles(database()).flatMap(({ key, label: profile }) =>
      Object.entries(catalog.checks).map(([check, { label }]): Findable => ({
        label: `Bar of ${inSentence(label)}, ${profile}`,
        href: `/profiles/${key}?bar=${check}`,
        group: 'Bars',
      })),
    ),
  ]);
});

/** What may be recorded of somebody whose page is open. What says something of health stays out of addresses. */
export const listRecordables = reading([z.int()], (id): Outcome<readonly Findable[]> =>
  done(
    (readPersonPage(id)?.histories ?? []).flatMap(({ key, label, row }) =>
      row.check === null || isPrivateCheck({ check: row.check })
        ? []
        : [
            {
              label: `Record ${inSentence(label)}`,
              href: `/people/${id}?record=${encodeURIComponent(key)}`,
              group: 'To do' as const,
            },
          ],
    ),
  ),
);
