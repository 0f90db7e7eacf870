import { defineConfig } from '@playwright/test';
import { CHROMIUM, WIDE } from './browser';

/**
 * Drawing by the processor, as Chromium does where there is no graphics card. The tests' own flags have it emulate one,
 * which 3D needs and which takes 150 ms a frame.
 */
const { executablePath, args } = CHROMIUM.launchOptions;
const launchOptions = {
  executablePath,
  args: [...args.filter((arg) => !arg.includes('swiftshader')), '--disable-gpu'],
};

/** Times in the real browser on a floor of 100 rooms: npm run bench:browser */
export default defineConfig({
  testDir: 'bench',
  timeout: 300_000,
  workers: 1,
  outputDir: '../test-results',
  globalSetup: './cluster.ts',
  use: { ...CHROMIUM, ...WIDE, launchOptions, actionTimeout: 60_000 },
});
