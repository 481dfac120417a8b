import * as whole from 'fast-check'

/** fast-check as the tests know it, with every law tried a few times only, and always with the same numbers. */
export * from 'fast-check'
const MOST_RUNS = Number(process.env.SETT_MUTATE_RUNS ?? 4)
const assert = (property: never, options: { numRuns?: number } = {}): unknown =>
  (whole.assert as (p: never, o: object) => unknown)(property, {
    ...options,
    seed: 20_26,
    numRuns: Math.min(options.numRuns ?? 100, MOST_RUNS),
  })
export { assert }
export default { ...whole, assert }
