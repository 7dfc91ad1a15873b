/**
 * The one typed way in. A use case names what it reads, and gets it read: forms by their schema,
 * things of the studio by their number. What cannot be read is refused with words by its field.
 */
import { z } from 'zod';
import type { Day } from '@/core/units/day';
import { findCourse, findMeeting } from '@/db/courses';
import type { Db } from '@/db/open';
import { findPerson } from '@/db/people';
import { nowMs, today } from './clock';
import { database } from './database';
import { whoAsks } from './network/asking';
import { done, refuse, toProblems, type Outcome } from './result';

/** What a use case may go by, besides what it was asked. */
export interface Given {
  readonly db: Db;
  readonly today: Day;
  readonly nowMs: number;
  /** Who asks, for what is kept under a name. */
  readonly by: string;
}

/** A thing of the studio, asked for by its number. */
export interface Thing<Row> {
  readonly find: (db: Db, id: number) => Row | null;
  /** Words for one that is not there. */
  readonly gone: string;
}

const number = z.int().positive();

/** The number of something that the use case looks for itself. */
export const numberOf = (gone: string) => z.int(gone).positive(gone);

/** What is asked with by itself, without a form round it: its problems stand under this name. */
export const field = <S extends z.ZodType>(
  name: string,
  schema: S,
): z.ZodType<z.output<S>, z.input<S>> =>
  z.unknown().transform((asked, context): z.output<S> => {
    const parsed = schema.safeParse(asked);
    if (parsed.success) return parsed.data;
    for (const { message, path } of parsed.error.issues) {
      context.addIssue({ code: 'custom', message, path: [name, ...path] });
    }
    return z.NEVER;
  }) as unknown as z.ZodType<z.output<S>, z.input<S>>;

export const aPerson: Thing<NonNullable<ReturnType<typeof findPerson>>> = {
  find: findPerson,
  gone: 'This person is no longer here. Go back to the list of people.',
};

export const aCourse: Thing<NonNullable<ReturnType<typeof findCourse>>> = {
  find: findCourse,
  gone: 'This course is no longer here.',
};

export const aMeeting: Thing<NonNullable<ReturnType<typeof findMeeting>>> = {
  find: findMeeting,
  gone: 'This evening is no longer here.',
};

type Read = z.ZodType | Thing<unknown>;
/** What is asked with is only read. */
type Still<T> = T extends readonly (infer One)[]
  ? readonly Still<One>[]
  : T extends object
    ? { readonly [Key in keyof T]: Still<T[Key]> }
    : T;
type Asked<R> = R extends z.ZodType ? Still<z.input<R>> : number;
type Found<R> = R extends z.ZodType ? z.output<R> : R extends Thing<infer Row> ? Row : never;

/** As it is called: what may be left out may be left out. */
export type Args<S extends readonly Read[]> = S extends readonly [
  infer First,
  ...infer Rest extends readonly Read[],
]
  ? undefined extends Asked<First>
    ? [asked?: Asked<First>, ...Args<Rest>]
    : [asked: Asked<First>, ...Args<Rest>]
  : [];

type Values<S extends readonly Read[]> = { -readonly [K in keyof S]: Found<S[K]> };

const isSchema = (read: Read): read is z.ZodType => 'safeParse' in read;

function readOne(db: Db, read: Read, asked: unknown): Outcome<unknown> {
  if (isSchema(read)) {
    const parsed = read.safeParse(asked);
    return parsed.success ? done(parsed.data) : refuse(toProblems(parsed.error));
  }
  const id = number.safeParse(asked);
  const row = id.success ? read.find(db, id.data) : null;
  return row === null ? refuse({ form: read.gone }) : done(row);
}

function readAll(db: Db, reads: readonly Read[], asked: readonly unknown[]): Outcome<unknown[]> {
  const values: unknown[] = [];
  for (const [index, read] of reads.entries()) {
    const one = readOne(db, read, asked[index]);
    if (!one.ok) return one;
    values.push(one.value);
  }
  return done(values);
}

const givenBy = (db: Db): Given => ({ db, today: today(), nowMs: nowMs(), by: whoAsks() });

/** Carries a refusal out of a transaction, so that nothing of what it had begun stays. */
class Refused extends Error {
  constructor(readonly outcome: Extract<Outcome<never>, { readonly ok: false }>) {
    super('refused');
  }
}

/**
 * A use case in one transaction: all of it, or nothing. What is refused half-way has changed nothing.
 *
 * @param reads what it is asked with, in order
 */
export const change =
  <const S extends readonly Read[], T>(
    reads: S,
    handle: (given: Given, ...values: Values<S>) => Outcome<T>,
  ) =>
  (...asked: Args<S>): Outcome<T> => {
    try {
      return database().transaction((tx): Outcome<T> => {
        const read = readAll(tx, reads, asked);
        const outcome = read.ok ? handle(givenBy(tx), ...(read.value as Values<S>)) : read;
        if (!outcome.ok) throw new Refused(outcome);
        return outcome;
      });
    } catch (error) {
      if (error instanceof Refused) return error.outcome;
      throw error;
    }
  };

/** A use case that changes nothing, or has its own mind about transactions; it may take its time. */
export const work =
  <const S extends readonly Read[], T, Result extends Outcome<T> | Promise<Outcome<T>>>(
    reads: S,
    handle: (given: Given, ...values: Values<S>) => Result,
  ) =>
  (...asked: Args<S>): Result | Outcome<never> => {
    const db = database();
    const read = readAll(db, reads, asked);
    return read.ok ? handle(givenBy(db), ...(read.value as Values<S>)) : read;
  };

/** A use case for what comes out of a request: anything at all, which its schemas make sense of. */
export const anybodysWords = <Asked extends unknown[], Result>(
  useCase: (...asked: Asked) => Result,
): ((...asked: unknown[]) => Result) => useCase as (...asked: unknown[]) => Result;

/** Reads what it is asked with and goes by nothing else: it works while no studio can be opened. */
export const reading =
  <
    const S extends readonly z.ZodType[],
    Result extends Outcome<unknown> | Promise<Outcome<unknown>>,
  >(
    reads: S,
    handle: (...values: Values<S>) => Result,
  ) =>
  (...asked: Args<S>): Result | Outcome<never> => {
    const values: unknown[] = [];
    for (const [index, read] of reads.entries()) {
      const parsed = read.safeParse((asked as readonly unknown[])[index]);
      if (!parsed.success) return refuse(toProblems(parsed.error));
      values.push(parsed.data);
    }
    return handle(...(values as Values<S>));
  };
