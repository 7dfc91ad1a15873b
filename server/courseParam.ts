/** `?course=`: a number, `all` for everyone; anything else means the course that meets next. */
export function readCourseParam(value: string | string[] | undefined): number | null | undefined {
  if (value === 'all') return null;
  if (typeof value !== 'string' || !/^[1-9]\d{0,9}$/.test(value)) return undefined;
  return Number(value);
}
