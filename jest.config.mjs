/** Units and the store with a real SQLite file; the interface is driven by Playwright (tests/e2e). */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/tests/unit'],
  testMatch: ['**/*.test.ts'],
  transform: { '^.+\\.(ts|js|mjs)$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } }] },
  // These ship as ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@plussub|stopword|uuid)/)'],
  moduleFileExtensions: ['ts', 'js', 'mjs', 'json'],
}
