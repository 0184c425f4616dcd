import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'tests/browser',
  globalSetup: './tests/browser/globalSetup.ts',
  fullyParallel: false,
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 8000 },
  reporter: [['list']],
  forbidOnly: !!process.env.CI,
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 8000,
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
