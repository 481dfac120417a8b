import base from './jest.config.mjs'

/** The tests of the core alone, with few runs of every law: what a mutation run can afford (`npm run mutate`). */
const [unit] = base.projects
export default {
  ...unit,
  testTimeout: 60_000,
  // SETT_MUTATE_TESTS names those that are enough for the files at hand (`bites,methods,units`): far quicker than all.
  testMatch: process.env.SETT_MUTATE_TESTS
    ? process.env.SETT_MUTATE_TESTS.split(',').map((name) => `<rootDir>/tests/core/${name}.test.ts`)
    : ['<rootDir>/tests/{core,outside}/**/*.test.ts'],
  // Those count what many runs have seen, and are too long to be made anew for every mutant.
  testPathIgnorePatterns: [
    ...['advice', 'accepts', 'whole', 'fuzz', 'coins', 'heaps', 'multiplyingHands', 'spanishReasons'],
  ].map((name) => `/${name}\\.test\\.ts$`),
  setupFiles: [...unit.setupFiles, '<rootDir>/tools/mutate/fewRuns.cjs'],
}
