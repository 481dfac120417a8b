/** Caps how often each law is tried while mutants are tested, so that a mutant costs seconds, not minutes. */
const MOST_RUNS = Number(process.env.SETT_MUTATE_RUNS ?? 12)
const fc = require('fast-check')
const assert = (property, options = {}) =>
  fc.assert(property, { ...options, seed: 20_26, numRuns: Math.min(options.numRuns ?? 100, MOST_RUNS) })
Object.defineProperty(fc, 'default', { value: { ...fc.default, assert } })
