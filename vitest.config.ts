import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'shared/**/*.test.ts',
            'app/**/*.test.ts',
            'server/**/*.test.ts',
            'offline/**/*.test.ts',
            'tests/command/**/*.test.ts',
          ],
          setupFiles: ['tests/properties.ts'],
          testTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          globalSetup: ['tests/api/globalSetup.ts'],
          testTimeout: 60_000,
          hookTimeout: 180_000,
          // Each file has a database and a program of its own.
          maxWorkers: 2,
        },
      },
    ],
  },
})
