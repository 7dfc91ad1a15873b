/** As a value comes out of JSON: what is optional is absent, never there as `undefined`. */
export type Exact<T> = T extends (...args: never) => unknown
  ? T
  : T extends readonly unknown[]
    ? { [Index in keyof T]: Exact<T[Index]> }
    : T extends object
      ? {
          [Key in keyof T as undefined extends T[Key] ? never : Key]: Exact<T[Key]>;
        } & {
          [Key in keyof T as undefined extends T[Key] ? Key : never]?: Exact<
            Exclude<T[Key], undefined>
          >;
        }
      : T;

/** Drops what is `undefined`, however deep; the schemas' types cannot say that it never is. */
export function exact<T>(value: T): Exact<T> {
  if (Array.isArray(value)) return value.map((one: unknown) => exact(one)) as Exact<T>;
  if (typeof value !== 'object' || value === null) return value as Exact<T>;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .map(([key, one]: [string, unknown]) => [key, exact(one)]),
  ) as Exact<T>;
}
