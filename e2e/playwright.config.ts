import { defineConfig } from '@playwright/test';
import { CHROMIUM, IN_SPACE, PHONE } from './browser';
import { builtCore } from './built-core';

/** Long journeys through the built application, each with a server of its own that it may stop and start. */
export default defineConfig({
  ...builtCore(),
  testDir: 'journeys',
  timeout: 400_000,
  // a shared machine may stand still for half a minute; what passes is not slower for it
  expect: { timeout: 45_000 },
  // they wait as much as they work: four keep two processors busy
  workers: 4,
  fullyParallel: true,
  // a machine that stalls for seconds may cost a tap; what passes at the second try is said, and two of them are a failure
  retries: 1,
  reporter: [['list'], ['./second-tries.ts']],
  outputDir: '../test-results',
  use: { actionTimeout: 45_000, screenshot: 'only-on-failure' },
  globalSetup: './cluster.ts',
  projects: [
    // in one project, as workers are those of a project; a journey on a wide screen says so itself
    { name: 'flat', testMatch: /(phone|wide)\..*\.spec\.ts/, use: { ...CHROMIUM, ...PHONE } },
    { name: 'space', testMatch: /space\..*\.spec\.ts/, use: { ...IN_SPACE, ...PHONE } },
  ],
});
