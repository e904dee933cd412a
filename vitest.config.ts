import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: { include: ['tests/Screens/**/*.test.ts'], environment: 'node', testTimeout: 600_000, reporters: ['default'] },
});
