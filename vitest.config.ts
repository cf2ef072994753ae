import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
    environment: 'node',
    testTimeout: 180_000,
    setupFiles: ['scripts/testSetup.ts'],
    // The model's schemas are built once a worker, not once a file.
    isolate: false,
    // All cores: the suite is nothing but arithmetic, and nothing else runs beside it.
    maxWorkers: availableParallelism(),
  },
});
