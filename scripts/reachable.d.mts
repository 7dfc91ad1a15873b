/** Paths from `static` on of what a page of the build can ever ask for. */
export function findReachable(out: string, page: string): string[];
