'use client';

import { useEffect } from 'react';

declare global {
  interface Window {
    /** Absent where a page was opened without the script in its head. */
    levitarAwake?: () => void;
  }
}

/** Says that the page answers now, and whatever was tapped before is done. */
export function EarlyTaps() {
  useEffect(() => window.levitarAwake?.(), []);
  return null;
}
