import { hostileRecords } from './adverse'
import { timesOfCore } from './core'
import { charts } from './charts'
import { courses } from './courses'
import { marking } from './diagnosis'
import { firstLoad } from './load'
import { framesWhileDragging } from './frames'
import { tapsOnMats } from './mats'
import { killsSurvived } from './kills'
import { placements } from './placement'
import { longRecords } from './records'
import { savesPerSecond } from './saves'
import { schoolOf } from './school'
import { yearOf } from './year'

/** Prints one measured figure with what it is held against. */
export interface Figure {
  readonly what: string
  readonly value: string
  readonly beside: string
}

/** `--year` measures a school’s year of 200,000 trials, `--year=2000000` ten times that. `kills` kills servers alone; `core`, `records`, `hostile`, `load`, `saves`, `charts`, `diagnosis` (marking), `placement` and `courses` (with kits and sheets) measure that alone. `--school` measures a school of 200,000 records and nothing else; `--school=2000000` one of ten times that. */
const school = process.argv.map((arg) => /^--school(?:=(\d+))?$/.exec(arg)).find((found) => found !== null)
const records = Number(school?.[1] ?? 200_000)

const year = process.argv.map((arg) => /^--year(?:=(\d+))?$/.exec(arg)).find((found) => found !== null)

const ALONE: readonly (readonly [string, string, () => Figure[] | Promise<Figure[]>])[] = [
  ['diagnosis', 'Marking', marking],
  ['placement', 'Placement', placements],
  ['courses', 'Courses, lessons, kits, sheets', courses],
  ['kills', 'Servers killed', killsSurvived],
  ['charts', 'Charts', charts],
  ['core', 'The work of the core', timesOfCore],
  ['records', 'Long records', longRecords],
  ['hostile', 'Hostile records, the slowest materials', hostileRecords],
  ['load', 'First load of the Bench', firstLoad],
  ['saves', 'Saving', savesPerSecond],
]
const alone = ALONE.find(([name]) => process.argv.includes(name))

const ALL: readonly (readonly [string, () => Figure[] | Promise<Figure[]>])[] = [
  ['The work of the core', timesOfCore],
  ['Long records', longRecords],
  ['Hostile records, the slowest materials', hostileRecords],
  ['Courses, lessons, kits, sheets', courses],
  ['First load of the Bench', firstLoad],
  ['Frames while dragging, 500 pieces out', framesWhileDragging],
  ['Taps on the mats', tapsOnMats],
  ['Charts', charts],
  ['Saving', savesPerSecond],
  ['Servers killed', killsSurvived],
]

const chosen = year
  ? [['A year of a school', yearOf(Number(year[1] ?? 200_000))] as const]
  : alone
    ? [[alone[1], alone[2]] as const]
    : school
      ? [['A school', schoolOf(records)] as const]
      : ALL
for (const [title, measure] of chosen) {
  console.log(`\n${title}`)
  for (const { what, value, beside } of await measure())
    console.log(`  ${what.padEnd(58)} ${value.padStart(12)}   ${beside}`)
}
process.exit(0)
