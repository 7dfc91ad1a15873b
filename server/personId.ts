/** A person's id from an address; `null` for anything that is not one. */
export function readPersonId(text: string): number | null {
  return /^[1-9]\d{0,8}$/.test(text) ? Number(text) : null;
}
