/** `npm run lint`: every rule over every file, then how much is still to be moved into PrimeVue and into the catalogue of words. */
import './node20.mjs'
import { relative } from 'node:path'
import { ESLint } from 'eslint'
import { BARE_WORDS, controlsRule, RAW_CONTROLS, wordsRule } from './moving.mjs'

const eslint = new ESLint()
const results = await eslint.lintFiles(['.'])
const said = await (await eslint.loadFormatter('stylish')).format(results)
if (said) console.log(said)
let failed = results.some((r) => r.errorCount + r.warningCount > 0)

/** How often a rule is broken in each of some files. */
async function broken(files, rule, options) {
  if (files.length === 0) return new Map()
  const strict = new ESLint({ overrideConfig: { rules: { [rule]: options } } })
  const found = await strict.lintFiles(files)
  const count = (r) => r.messages.filter((m) => m.ruleId === rule).length
  return new Map(found.map((r) => [relative(process.cwd(), r.filePath), count(r)]))
}
for (const [what, files, rule, options] of [
  ['raw controls', RAW_CONTROLS, 'vue/no-restricted-html-elements', controlsRule],
  ['texts in templates', BARE_WORDS, 'vue/no-bare-strings-in-template', wordsRule],
]) {
  const counts = await broken(files, rule, options)
  const total = [...counts.values()].reduce((sum, n) => sum + n, 0)
  console.log(`Still to be moved: ${total} ${what} in ${files.length} files.`)
  for (const [file, n] of counts) {
    if (process.argv.includes('--list')) console.log(`  ${n} ${file}`)
    if (n > 0) continue
    failed = true
    console.log(`  ${file} has no ${what} any more: take it off the list in tools/moving.json.`)
  }
}
process.exitCode = failed ? 1 : 0
