import { CELL_IDS, LENGTHS, SITUATIONS, STAGES } from '../../core/story/index'
import { FINGER_CHARTS } from '../../core/paper/index'
import frame from '../../app/locales/en/frame.json'
import plan from '../../app/locales/en/plan.json'
import { BAR_PLACES } from '../../app/utils/barPlaces'
import { plainVerb, sceneOf, type SceneTyped } from '../../app/utils/sceneTyped'
import { READY_SETS, readySheets, sheetFields, SHEET_GROUPS } from '../../app/utils/sheets'
import { printSetSchema, sheetSchema, type SheetChoice } from '../../shared/prints'
import { sceneSchema } from '../../shared/scenes'

/** Words whose keys are put together from the names of the core: each has to be in the catalogue, or a page shows a key. */

const words: Readonly<Record<string, string>> = { ...frame, ...plan }
const missing = (keys: readonly string[]): readonly string[] => keys.filter((key) => !(key in words))

test('every kind, place and stage of stories has its words', () => {
  const roles = Object.values(SITUATIONS).flatMap((s) => s.roles)
  expect(
    missing([
      ...CELL_IDS.map((id) => `story.asked.${id}`),
      ...[...Object.keys(SITUATIONS), 'two-steps'].map((id) => `story.situation.${id}`),
      ...roles.map((role) => `story.place.${role}`),
      ...STAGES.flatMap((stage) => [`story.stage.${stage}`, `story.hint.${stage}`]),
      ...LENGTHS.map((length) => `story.length.${length}`),
    ]),
  ).toEqual([])
})

test('the drawing of the bars has each amount of a situation in one place', () => {
  for (const [id, rows] of Object.entries(BAR_PLACES))
    expect([id, rows.flat().sort()]).toEqual([id, [...SITUATIONS[id as keyof typeof SITUATIONS].roles].sort()])
})

const all = SHEET_GROUPS.flatMap(({ sheets }): readonly SheetChoice[] => sheets)
test('every sheet, setting and choice has its words', () => {
  const fields = all.flatMap((sheet) => sheetFields(sheet))
  const choices = fields.flatMap((f) =>
    f.kind === 'choice' && f.key !== 'material' && f.key !== 'frame'
      ? f.options.map((option) => `print.option.${f.key}.${option}`)
      : [],
  )
  expect(choices.length).toBeGreaterThan(FINGER_CHARTS.length)
  expect(
    missing([
      ...fields.map((f) => `print.field.${f.label}`),
      ...choices,
      ...all.flatMap(({ kind }) => (kind === 'mat' || kind === 'pieces' ? [] : [`frame.sheet.${kind}`])),
      ...SHEET_GROUPS.map(({ id }) => `frame.group.${id}`),
      ...READY_SETS.map((set) => `print.set.${set}`),
    ]),
  ).toEqual([])
})

test.each(READY_SETS)('what is set of the ready set “%s” can be saved', (set) => {
  const sheets = readySheets(set, 'blocks').map((sheet) => ({ sheet: sheetSchema.parse(sheet), copies: 1 }))
  expect(sheets.length).toBeGreaterThan(1)
  const setting = { paper: 'A4', perPage: 1, big: false, tactile: set === 'felt' }
  const id = '00000000-0000-4000-8000-000000000001'
  expect(
    printSetSchema.safeParse({ id, title: set, setting, problems: '', sheets, version: 0 }).error?.message,
  ).toBeUndefined()
})

test('a scene that is typed has the shape of a scene; verbs lose their s', () => {
  expect(['puts in', 'brushes off', 'carries away', 'pushes on'].map(plainVerb)).toEqual([
    'put in',
    'brush off',
    'carry away',
    'push on',
  ])
  const typed: SceneTyped = {
    title: 'Bells on the door',
    one: 'bell',
    many: 'bells',
    unit: '',
    kindOne: 'brass',
    kindTwo: 'wooden',
    where: 'on the door',
    comes: 'hangs up',
    goes: 'takes off',
    holderOne: 'hook',
    holderMany: 'hooks',
    within: 'on',
    rows: true,
    most: 100,
  }
  const made = sceneSchema.parse(sceneOf(typed))
  expect(made).toMatchObject({ id: 'own-bells-on-the-door', comes: ['hangs up', 'hang up'], rows: true })
  // What is measured has no several, and stands in no rows.
  const ribbon = sceneSchema.parse(sceneOf({ ...typed, one: 'ribbon', unit: 'cm' }))
  expect(ribbon).toMatchObject({ thing: { one: 'cm of ribbon', many: 'cm of ribbon' }, rows: false })
})
