'use client';

import { useEffect, useRef, useState } from 'react';
import { showProblem } from '@/design/notices';

const fileOf = (data: DataTransfer | null): File | null => data?.files[0] ?? null;
/** What is dragged may be a file: words and links of the page itself are not. */
const holdsFile = ({ dataTransfer }: DragEvent) => dataTransfer?.types.includes('Files') === true;

/**
 * Takes the file that is dropped anywhere on the page, or pasted: a browser left to itself leaves the
 * page for it, and the marks on it are gone.
 *
 * @param isShown `false`: another look is open, and takes it
 * @returns whether something is held over the page
 */
export function useDropped(isShown: boolean, onFile: (file: File) => void): boolean {
  const [isOver, setOver] = useState(false);
  const latest = useRef(onFile);
  useEffect(() => {
    latest.current = onFile;
  });
  useEffect(() => {
    if (!isShown) return undefined;
    const over = (event: DragEvent) => {
      if (!holdsFile(event)) return;
      event.preventDefault();
      setOver(true);
    };
    // Going from one part of the page to the next is no leaving.
    const leave = ({ relatedTarget }: DragEvent) => {
      if (relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent) => {
      if (!holdsFile(event)) return;
      event.preventDefault();
      setOver(false);
      const count = event.dataTransfer?.files.length ?? 0;
      if (count > 1) showProblem(`One at a time: of these ${count} the first is taken.`);
      const file = fileOf(event.dataTransfer);
      if (file !== null) latest.current(file);
    };
    const paste = (event: ClipboardEvent) => {
      const file = fileOf(event.clipboardData);
      if (file === null) return;
      event.preventDefault();
      latest.current(file);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
      window.removeEventListener('paste', paste);
    };
  }, [isShown]);
  return isShown && isOver;
}
