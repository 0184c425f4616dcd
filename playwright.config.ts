import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'tests/browser',
  globalSetup: './tests/browser/globalSetup.ts',
  // Each worker runs a program on a database of its own, so that files can go side by side.
  fullyParallel: false,
  workers: 2,
  projects: [
    { name: 'views', testIgnore: 'speed.spec.ts' },
    // What is timed has the machine to itself.
    { name: 'speed', testMatch: 'speed.spec.ts', dependencies: ['views'] },
  ],
  // Machines that run this may stall for seconds at a time: what waits for something waits long, and one that failed
  // is run once more and told as such.
  timeout: 240_000,
  expect: { timeout: 40_000 },
  retries: 1,
  reporter: [['list']],
  forbidOnly: !!process.env.CI,
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 40_000,
    serviceWorkers: 'block',
    // The recorder takes a third of the time; HC_TRACE=1 lets it look on.
    trace: process.env.HC_TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
