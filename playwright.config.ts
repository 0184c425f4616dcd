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
  timeout: 60_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  forbidOnly: !!process.env.CI,
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
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
