import { useState, type Dispatch, type SetStateAction } from 'react';

/**
 * The state of what lies over every page and belongs to the one it was opened on: back to `none` when
 * another page comes, by whatever way (a choice in it, a link, the browser's own Back).
 *
 * @param path where one is
 */
export function useOfPage<T>(path: string, none: T): [T, Dispatch<SetStateAction<T>>] {
  const [value, setValue] = useState(none);
  const [at, setAt] = useState(path);
  if (at !== path) {
    setAt(path);
    setValue(none);
  }
  return [value, setValue];
}
