import type { WebDriver } from 'selenium-webdriver'
import { capital } from '../../core/door'
import { plan, REPRESENTATION_IDS, REPRESENTATIONS, type RepresentationId } from '../../core/index'
import type { RecordPage } from '../../shared/listing'
import type { SavedRecord } from '../../shared/schemas'
import { inChromium } from './here'
import { Key, type Running } from './world'

/**
 * A whole problem with every material, from asking to the Daybook, by keyboard alone, and with nothing read but the accessibility tree: what
 * a screen reader has. No coordinates, no selectors.
 */

const here = inChromium()
const { fresh, press } = here
let app: Running
let driver: WebDriver
type DevTools = { sendAndGetDevToolsCommand<T>(command: string, parameters: object): Promise<T> }
const devTools = <T>(command: string, parameters: object = {}): Promise<T> =>
  (driver as unknown as DevTools).sendAndGetDevToolsCommand<T>(command, parameters)

interface Node {
  readonly ignored: boolean
  readonly role?: { readonly value: string }
  readonly name?: { readonly value: string }
}
const tree = async (): Promise<readonly Node[]> =>
  (await devTools<{ nodes: Node[] }>('Accessibility.getFullAXTree')).nodes.filter((n) => !n.ignored)
const is = (n: Node | undefined, role: string, name: string | RegExp): boolean => {
  const called = n?.name?.value.trim() ?? ''
  return n?.role?.value === role && (typeof name === 'string' ? called === name : name.test(called))
}
const WAIT = 20_000
const there = (role: string, name: string | RegExp): Promise<unknown> =>
  driver.wait(async () => (await tree()).some((n) => is(n, role, name)), WAIT, `no ${role} called ${name}`)
/** The thing that has the focus, as a screen reader is told of it. */
async function focused(): Promise<Node | undefined> {
  const { result } = await devTools<{ result: { objectId: string } }>('Runtime.evaluate', {
    expression: 'document.activeElement',
  })
  const { nodes } = await devTools<{ nodes: Node[] }>('Accessibility.getPartialAXTree', {
    objectId: result.objectId,
    fetchRelatives: false,
  })
  return nodes[0]
}
const MOST_STEPS = 80
/** From thing to thing by a key that goes by where one is, until it is there. */
async function stepTo(key: (at: Node | undefined) => string, role: string, name: string | RegExp): Promise<void> {
  const on: string[] = []
  for (let i = 0; i < MOST_STEPS; i++) {
    const now = await focused()
    if (is(now, role, name)) return
    on.push(`${now?.role?.value} ${now?.name?.value}`)
    await press(key(now))
  }
  throw new Error(`The focus never came to the ${role} ${name}, but to ${on.slice(0, 12).join('; ')} …`)
}
const tabTo = (role: string, name: string | RegExp): Promise<void> => stepTo(() => Key.TAB, role, name)
const comesTo = (role: string, name: string | RegExp): Promise<unknown> =>
  driver.wait(async () => is(await focused(), role, name), WAIT, `the focus is not on the ${role} ${name}`)
/** All words that are to be read on the page. */
const words = async (): Promise<string> =>
  (await tree())
    .filter((n) => n.role?.value === 'StaticText')
    .map((n) => n.name?.value)
    .join(' ')
const reads = (what: RegExp): Promise<unknown> =>
  driver.wait(async () => what.test(await words()), WAIT, `nothing says ${what}`)

beforeAll(() => {
  ;({ app, driver } = here)
})
// Each begins anew, with nothing on the mat that a change of material would take along.
beforeEach(async () => {
  await fresh({ 'sett.mode': 'together', 'sett.cards-seen': JSON.stringify(REPRESENTATION_IDS) })
  await there('textbox', 'Problem')
})

/** What is asked of materials that are not for taking five from twelve. */
const ASKED: Partial<Record<RepresentationId, string>> = {
  nines: '4 * 9',
  'nine-tricks': '4 * 9',
  plates: '14 / 3',
  groups: '3 * 4',
  area: '12 * 13',
  product: '12 * 13',
  division: '84 / 7',
  coins: '2 * 25 + 1 * 10',
  signs: '-3 - 5',
  strips: '5/8 - 1/4',
  vessel: '5/8 - 1/4',
  'fraction-rule': '5/8 - 1/4',
}
/** The running lines are always there beside the others. */
const WORKED = REPRESENTATION_IDS.filter((id) => id !== 'equations')

const begun = Date.now()
/** The record of a material that was made since these tests began. */
async function savedOf(id: RepresentationId): Promise<SavedRecord> {
  let found: string | undefined
  await driver.wait(
    async () => {
      const page = (await (await fetch(`${app.url}/api/records?material=${id}&limit=1`)).json()) as RecordPage
      const [first] = page.records
      found = first && Date.parse(first.startedAt) >= begun ? first.id : undefined
      return found !== undefined
    },
    WAIT,
    'it is in the Daybook',
  )
  return (await (await fetch(`${app.url}/api/records/${found}`)).json()) as SavedRecord
}

test.each(WORKED)(
  '%s: asked, worked, described and saved',
  async (id) => {
    const problem = ASKED[id] ?? '12 - 5'
    const r = REPRESENTATIONS[id]
    await press('a')
    await comesTo('textbox', 'Problem')
    await driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL).sendKeys(problem).perform()
    await tabTo('button', /^Material: /)
    await press(Key.ENTER)
    await comesTo('textbox', 'Find a material')
    await press(r.title)
    // Down to the cards, and on among those that are left; back in the box while they are still being sorted out.
    await stepTo(
      (at) => (is(at, 'textbox', 'Find a material') ? Key.ARROW_DOWN : Key.ARROW_RIGHT),
      'button',
      capital(r.title),
    )
    await press(Key.ENTER)
    await there('button', new RegExp(`^Material: ${r.title}$`, 'i'))
    await press(Key.ESCAPE)
    await press('/')
    await comesTo('textbox', 'Type a move')
    const moves = plan({ problem, representation: id }).steps.flatMap((s) => s.moves[id] ?? [])
    for (const move of moves) await press(r.print(move as never), Key.ENTER)
    // Out of the box; then a key tells what lies there, and another saves.
    await press(Key.ESCAPE)
    await press('d')
    await reads(new RegExp(`with ${r.title}\\.`, 'i'))
    await press('s')
    await there('dialog', 'Save to the Daybook')
    await tabTo('button', 'Save')
    await press(Key.ENTER)
    await reads(/is in the Daybook/)
    const saved = await savedOf(id)
    expect(saved.work.moves.filter((m) => m.on === id)).toHaveLength(moves.length)
    expect([saved.work.representation, saved.outcome.right]).toEqual([id, true])
  },
  60_000,
)
