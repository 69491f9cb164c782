/** Units and the store with a real SQLite file; the interface is driven by Playwright (tests/e2e). */
export default {
  testEnvironment: 'node',
  // A machine busy with something else may be slow; what hangs still ends.
  testTimeout: process.env.FONETRA_EXPLORE ? 600_000 : 30_000,
  setupFiles: ['<rootDir>/tests/setup/properties.ts'],
  roots: ['<rootDir>/tests/unit'],
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.(ts|js|mjs)$': [
      '<rootDir>/tests/setup/transform.mjs',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  // These ship as ES modules only.
  transformIgnorePatterns: [
    '/node_modules/(?!(@vueuse|nostics|comlink|double-metaphone|media-captions|stopword|uuid|d3-[a-z]+|internmap|culori)/)',
  ],
  moduleNameMapper: { '^~/(.*)$': '<rootDir>/app/$1' },
  moduleFileExtensions: ['ts', 'js', 'mjs', 'json'],
}
