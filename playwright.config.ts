import { defineConfig } from '@playwright/test';

/**
 * What it does without. Two windows of its own that stand ready behind each page, to be typed an
 * address into, took a twelfth of all the time, and as much a process that stands ready for the next
 * page, which no test ever goes on to; the rest are those that the runner turns off, whose own list
 * this one takes the place of.
 */
const without = [
  'SpareRendererForSitePerProcess',
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'AimEnabled',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsFirstBalancedModeAutoEnable',
  'HttpsUpgrades',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'ThirdPartyStoragePartitioning',
];

/** Debian's Chromium, kept from calling home. */
export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  `--disable-features=${without.join(',')}`,
];

// How far tests look that try many things: core/testing/depth.ts.
Object.assign(globalThis, { LEVITAR_DEEP: process.env.LEVITAR_DEPTH === 'deep' });

export default defineConfig({
  // What each change is asked, what only the deep run is, and its drills: docs/decisions/0015.
  projects: [
    { name: 'each change', testDir: 'e2e', testIgnore: 'drills/**', grepInvert: /@deep$/ },
    { name: 'deep', testDir: 'e2e', testIgnore: 'drills/**', grep: /@deep$/ },
    { name: 'drills', testDir: 'e2e/drills' },
  ],
  outputDir: 'test-results',
  // A file is a row of steps on one studio; files know nothing of each other.
  fullyParallel: false,
  workers: 2,
  retries: 0,
  // A shared machine stalls now and then: patience, never a second try.
  timeout: 240_000,
  expect: { timeout: 40_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    // Whoever waits for ever says where.
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    launchOptions: {
      executablePath: process.env.LEVITAR_CHROMIUM ?? '/usr/bin/chromium',
      args: chromiumArguments,
    },
  },
});
