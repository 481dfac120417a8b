const Sequencer = require('@jest/test-sequencer').default

/** Tests that take longest come last, so that most mutants are noticed within seconds. */
const SLOW = [
  'numbers',
  'bench',
  'cupboard',
  'stories',
  'marking',
  'courses',
  'sheets',
  'written',
  'methods',
  'abacus',
  'laws',
  'units',
  'chains',
]
const rank = ({ path }) => SLOW.findIndex((name) => path.endsWith(`/${name}.test.ts`))

module.exports = class extends Sequencer {
  sort(tests) {
    return [...tests].sort((a, b) => rank(a) - rank(b) || a.path.localeCompare(b.path))
  }
}
