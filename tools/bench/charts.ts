import { randomUUID } from 'node:crypto'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { makeStore } from '../../server/utils/store'
import { browser, byRole, serve, text } from '../../tests/browser/world'
import type { Trial } from '../../shared/trials'
import type { Figure } from './all'

const SESSIONS = 2000
const EACH = 5

/** A learner with so many days of tries, drawn: how long until the chart of one measure stands instead of the other. */
export async function charts(): Promise<Figure[]> {
  const data = mkdtempSync(join(tmpdir(), 'sett-charts-'))
  const store = makeStore(join(data, 'sett.db'))
  const learnerId = randomUUID()
  store.setClassroom({ name: 'The loft', words: 'exchange', hands: {} } as never)
  store.addLearner({ id: learnerId, codeName: 'Heron' })
  store.db.pragma('synchronous = OFF')
  store.db.transaction(() => {
    for (let day = 0; day < SESSIONS; day++)
      for (let k = 0; k < EACH; k++) {
        const right = k < 1 + (day % 5)
        const help = right ? 'independent' : 'spoken'
        const startedAt = new Date(Date.now() - (SESSIONS - day) * 86_400_000 + k * 1000).toISOString()
        const work = {
          format: 'sett-trial',
          version: 1,
          sitting: learnerId,
          step: '',
          asked: '52 - 37',
          material: 'blocks',
          ms: 9000,
        }
        store.keepTrial(
          { id: randomUUID(), learnerId, startedAt, kind: 'table', help, right, note: '', work } as Trial,
          {
            durationMs: 9000,
            problem: '52 - 37',
            step: 'take-2-2-ten',
            material: 'blocks',
            mode: 'alone',
            slips: [],
          },
        )
      }
  })()
  store.db.close()
  const app = await serve({ data })
  const driver = await browser()
  try {
    await driver.get(`${app.url}/learners/progress?learner=${learnerId}`)
    await text(driver, '.told', `on ${SESSIONS} days`)
    await byRole(driver, 'button', 'A minute')
    const times = await driver.executeAsyncScript<number[]>(`
      const done = arguments[0]
      const buttons = [...document.querySelectorAll('[aria-label="What the points say"] button')]
      const frame = () => new Promise((next) => requestAnimationFrame(() => setTimeout(next)))
      ;(async () => {
        const times = []
        for (let i = 0; i < 12; i++) {
          await frame()
          const begun = performance.now()
          buttons[(i + 1) % 2].click()
          await frame()
          times.push(performance.now() - begun)
        }
        done(times)
      })()`)
    const sorted = times.sort((a, b) => a - b)
    return [
      {
        what: `a chart of ${SESSIONS.toLocaleString('en')} sessions drawn anew`,
        value: `${sorted[6]!.toFixed(0)} ms`,
        beside: `half below; longest ${sorted.at(-1)!.toFixed(0)} ms; 200 wanted`,
      },
    ]
  } finally {
    await driver.quit()
    await app.stop()
  }
}
