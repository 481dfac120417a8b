import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin'

/** Of a range of code that is to be mutated, leaves only what was drawn: `[from, to]` as `[line, column]` each, in SETT_MUTATE_DRAWN. */
const drawn = JSON.parse(process.env.SETT_MUTATE_DRAWN ?? '[]')

const before = (a, b) => a[0] < b[0] || (a[0] === b[0] && a[1] <= b[1])
const at = ({ line, column }) => [line, column]

export const strykerPlugins = [
  declareValuePlugin(PluginKind.Ignore, 'only-drawn', {
    shouldIgnore: ({ node: { loc } }) =>
      !loc || drawn.some(([from, to]) => before(at(loc.start), from) && before(to, at(loc.end)))
        ? undefined
        : 'not drawn',
  }),
]
