/** Checks the licences of everything that ships: permissive ones only, and the fonts' beside the fonts. Prints what it found. */
import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'

/** Licences that let a school use, change and pass on what is under them, with the notice kept. */
const PERMISSIVE = [
  'MIT',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  '0BSD',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'Unlicense',
  'Python-2.0',
  'OFL-1.1',
  'CC-BY-4.0',
  'MIT-0',
  'Zlib',
  'WTFPL',
  'Artistic-2.0',
]
const FONTS = {
  'public/licences/andika.txt': '@fontsource/andika',
  'public/licences/atkinson-hyperlegible.txt': '@fontsource/atkinson-hyperlegible',
}

const read = (path) => JSON.parse(readFileSync(path, 'utf8'))

/** The folder of a package as another one finds it. */
function folderOf(name, from) {
  for (let at = from; ; at = dirname(at)) {
    const folder = join(at, 'node_modules', name)
    if (existsSync(join(folder, 'package.json'))) return folder
    if (at === dirname(at)) return undefined
  }
}

/** Whether a licence expression leaves a permissive choice. */
function permissive(expression) {
  const plain = expression.replace(/[()]/g, ' ').trim()
  return plain.split(/\s+OR\s+/).some((choice) => choice.split(/\s+AND\s+/).every((l) => PERMISSIVE.includes(l.trim())))
}

/** The licence of a package that names none but brings its text along. */
function inFile(folder) {
  const file = ['LICENSE', 'LICENSE.md', 'LICENCE'].map((f) => join(folder, f)).find((f) => existsSync(f))
  return file && /^\s*(?:The )?MIT License/i.test(readFileSync(file, 'utf8')) ? 'MIT' : ''
}

const seen = new Map()
const wrong = []
function visit(folder) {
  if (seen.has(folder)) return
  const {
    name,
    version,
    license,
    licenses,
    dependencies = {},
    optionalDependencies = {},
  } = read(join(folder, 'package.json'))
  const said = license?.type ?? license ?? licenses?.map?.((l) => l.type ?? l).join(' OR ') ?? inFile(folder)
  seen.set(folder, said)
  if (!permissive(String(said))) wrong.push(`${name} ${version}: ${said || 'no licence named'}`)
  for (const dependency of Object.keys({ ...dependencies, ...optionalDependencies })) {
    const found = folderOf(dependency, folder)
    if (found) visit(found)
  }
}
for (const name of Object.keys(read('package.json').dependencies)) visit(folderOf(name, process.cwd()))
for (const [file, name] of Object.entries(FONTS))
  if (!existsSync(file) || readFileSync(file, 'utf8') !== readFileSync(join('node_modules', name, 'LICENSE'), 'utf8'))
    wrong.push(`${file} is not the licence that ${name} comes with`)

for (const line of wrong) console.error(line)
const kinds = [...new Set(seen.values())].sort().join(', ')
console.log(`${seen.size} packages ship or build what ships: ${kinds}.`)
process.exitCode = wrong.length === 0 ? 0 : 1
