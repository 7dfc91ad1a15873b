import type { ImportRow } from './importPeople';

export const importFields = ['name', 'height', 'mass', 'consent', 'uid'] as const;
export type ImportField = (typeof importFields)[number];

export const fieldLabels: Record<ImportField, string> = {
  name: 'Name',
  height: 'Height',
  mass: 'Body mass, kg',
  consent: 'Hands-on help',
  uid: 'Id of your own',
};

/** Column of each field; absent: not in the file. */
export type Mapping = Partial<Record<ImportField, number>>;

const hints: Record<ImportField, readonly RegExp[]> = {
  name: [/^(full )?name$/i, /name/i, /student|person|who/i, /^(nom|nombre|naam|nome)\b/i],
  height: [
    /^height/i,
    /height|tall|size|cm/i,
    /größe|groesse|grösse|taille|altura|altezza|lengte/i,
  ],
  mass: [/mass|weight|kg/i, /gewicht|poids|peso/i],
  consent: [/consent|touch|hands/i],
  uid: [/^u?id$/i, /number|member/i],
};

/** A first guess from the headings; each column serves one field at most. */
export function guessMapping(headings: readonly string[]): Mapping {
  const mapping: Mapping = {};
  const taken = new Set<number>();
  for (const field of importFields) {
    for (const hint of hints[field]) {
      const index = headings.findIndex(
        (heading, at) => !taken.has(at) && hint.test(heading.trim()),
      );
      if (index < 0) continue;
      mapping[field] = index;
      taken.add(index);
      break;
    }
  }
  return mapping;
}

/** Rows as the server reads them; a field without a column is empty. */
export function mapRows(rows: readonly (readonly string[])[], mapping: Mapping): ImportRow[] {
  return rows.map(
    (row) =>
      Object.fromEntries(
        importFields.map((field) => {
          const index = mapping[field];
          return [field, index === undefined ? '' : (row[index] ?? '')];
        }),
      ) as ImportRow,
  );
}
