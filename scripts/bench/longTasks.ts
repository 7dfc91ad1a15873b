/** How long a page keeps a hand waiting in one go, as the browser itself notes it. */
import type { Page } from '@playwright/test';

interface Noted {
  longest: number;
}

/** Runs in the page: from now on its long tasks are noted. */
export function noteBlocks(): void {
  const noted = window as unknown as Noted;
  noted.longest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) {
      noted.longest = Math.max(noted.longest, duration);
    }
  }).observe({ type: 'longtask' });
}

/** Since the last time it was asked, ms; under 50 it is nothing. */
export const longestBlock = (page: Page) =>
  page.evaluate(() => {
    const noted = window as unknown as Noted;
    const { longest } = noted;
    noted.longest = 0;
    return longest;
  });
