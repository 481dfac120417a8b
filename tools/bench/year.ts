import { randomUUID } from 'node:crypto'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seedDemo } from '../../demo/lantern-walk'
import { makeStore } from '../../server/utils/store'
import type { Trial } from '../../shared/trials'
import type { Figure } from './all'

const LEARNERS = 300
const GROUP = 30
const ASKED = 200
const HELP = ['independent', 'independent', 'pointed', 'spoken', 'shown'] as const
const MATERIALS = ['blocks', 'columns', 'drawn', 'counters', ''] as const
const SLIPS = ['took the smaller from the larger', 'lost the exchange']
const DAY_MS = 86_400_000

/** Fills a data folder with a year of a school: so many trials of three hundred learners in groups of thirty. */
function fill(data: string, trials: number): readonly string[] {
  const store = makeStore(join(data, 'sett.db'))
  seedDemo(store, new Date())
  const learners = Array.from({ length: LEARNERS }, (_, i) => {
    const id = randomUUID()
    store.addLearner({ id, codeName: `Bird ${i + 1}` })
    store.keepLearner({ ...store.learner(id)!, groups: [`Group ${Math.floor(i / GROUP) + 1}`] })
    return id
  })
  const sample = [...store.records(null)][0]!
  const now = Date.now()
  store.db.pragma('synchronous = OFF')
  for (let done = 0; done < trials; done += 20_000)
    store.db.transaction(() => {
      for (let i = done; i < Math.min(trials, done + 20_000); i++) {
        const ago = Math.floor((1 - i / trials) * 364)
        const startedAt = new Date(now - ago * DAY_MS - (i % 20_000) * 1000).toISOString()
        const [learnerId, help, id] = [learners[(i * 7) % LEARNERS]!, HELP[i % 5]!, randomUUID()]
        const asked = `${20 + (i % 80)} - ${10 + (i % 9)}`
        // A tenth is work at the Bench with all its moves.
        if (i % 10 === 0) {
          const work = { ...sample.work, problem: asked }
          store.save({ ...sample, id, learnerId, startedAt, work }, i % 50 === 0 ? [SLIPS[i % 2]!] : [])
          continue
        }
        const trial = {
          id,
          learnerId,
          startedAt,
          kind: 'table',
          help,
          right: i % 4 > 0,
          note: '',
          work: {
            format: 'sett-trial',
            version: 1,
            sitting: learnerId,
            step: '',
            asked,
            material: MATERIALS[i % 5]!,
            ms: 9000,
          },
        } as Trial
        const seen = {
          durationMs: 9000,
          problem: asked,
          step: i % 3 ? 'take-2-2-ten' : '',
          material: MATERIALS[i % 5]!,
          mode: 'alone',
          slips: [],
        }
        store.keepTrial(trial, seen)
      }
    })()
  store.db.pragma('wal_checkpoint(TRUNCATE)')
  store.db.close()
  return learners
}
const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!

/** What a school waits for after a year: every view of the Daybook, of progress and of a group. */
export const yearOf = (trials: number) => async (): Promise<Figure[]> => {
  const data = mkdtempSync(join(tmpdir(), 'sett-year-'))
  const learners = fill(data, trials)
  const port = 4791
  const server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, SETT_DATA: data, PORT: String(port), HOST: '127.0.0.1' },
    stdio: 'ignore',
  })
  const url = `http://127.0.0.1:${port}`
  const up = (): Promise<boolean> =>
    fetch(`${url}/api/session`).then(
      (r) => r.ok,
      () => false,
    )
  while (!(await up())) await new Promise((next) => setTimeout(next, 50))
  const some = <T>(all: readonly T[]): T => all[Math.floor(Math.random() * all.length)]!
  const group = (): string => `Group%20${1 + Math.floor(Math.random() * (LEARNERS / GROUP))}`
  const views: readonly (readonly [string, () => string])[] = [
    ['a group of thirty at a glance', () => `/api/glance?group=${group()}`],
    ['the progress of a learner', () => `/api/progress?learner=${some(learners)}`],
    ['of one step', () => `/api/progress?learner=${some(learners)}&step=take-2-2-ten`],
    ['the Daybook', () => '/api/records'],
    ['of one learner', () => `/api/records?learner=${some(learners)}`],
    ['of one group', () => `/api/records?group=${group()}`],
    ['with one kind of help', () => '/api/records?help=shown'],
    ['by one way', () => '/api/records?way=ones-first'],
    ['of one step', () => '/api/records?step=take-2-2-ten'],
    ['of a step that nobody tried', () => '/api/records?step=beads-large'],
    ['not right, of one learner', () => `/api/records?came=not&learner=${some(learners)}`],
    ['moments of a learner', () => `/api/moments?learner=${some(learners)}`],
    ['the room and its learners', () => '/api/classroom'],
    ['where a learner stands', () => `/api/standings?learners=${some(learners)}`],
  ]
  const figures: Figure[] = []
  for (const [what, path] of views) {
    const times: number[] = []
    for (let i = 0; i < ASKED; i++) {
      const begun = performance.now()
      const answer = await fetch(url + path())
      await answer.arrayBuffer()
      if (!answer.ok) throw new Error(`${path()}: ${answer.status}`)
      times.push(performance.now() - begun)
    }
    times.sort((a, b) => a - b)
    figures.push({
      what: `${what}`,
      value: `${at(times, 0.99).toFixed(1)} ms`,
      beside: `99 of 100; half below ${at(times, 0.5).toFixed(1)} ms; 100 wanted`,
    })
  }
  server.kill()
  await new Promise((done) => server.once('exit', done))
  rmSync(data, { recursive: true, force: true })
  return figures
}
