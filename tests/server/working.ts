import { randomUUID } from 'node:crypto'
import { appendFileSync } from 'node:fs'
import { join } from 'node:path'
import '../../core/index'
import { makeBackup } from '../../server/utils/backups'
import { eraseLearner } from '../../server/utils/erasing'
import { packing, takeInRecords } from '../../server/utils/takingIn'
import { makeStore } from '../../server/utils/store'
import { keepTrials } from '../../server/utils/trials'
import type { Trial } from '../../shared/trials'

/** Works on a data folder until it is killed, and writes down what it has told its caller to be done (`killing.ts`). */
const [work, data] = process.argv.slice(2) as [string, string]
const store = makeStore(join(data, 'sett.db'))
const [sample] = [...store.records(null)]
const told = (id: string): void => appendFileSync(join(data, 'told'), `${id}\n`)
const wren = store.learners()[0]!
process.stdout.write('begun\n')

for (let turn = 0; ; turn++) {
  const record = { ...sample!, id: randomUUID() }
  if (work === 'saving') {
    store.save(record, ['left a coin out'])
    told(record.id)
  } else if (work === 'noting') {
    const trials = Array.from({ length: 10 }, (): Trial => ({
      id: randomUUID(),
      learnerId: wren.id,
      startedAt: new Date(Date.UTC(2026, 9, 1) + turn).toISOString(),
      kind: 'table',
      help: 'independent',
      right: turn % 2 === 0,
      note: '',
      work: { format: 'sett-trial', version: 1, sitting: wren.id, step: '', asked: '5 + 4', material: '', ms: 0 },
    }))
    const seen = { durationMs: 0, problem: '5 + 4', step: '', material: '', mode: 'alone', slips: ['lost the unit'] }
    // Every second time they come twice, as after an answer that was lost on the way.
    for (let again = 0; again <= turn % 2; again++)
      keepTrials(
        store,
        trials.map((trial) => ({ trial, seen })),
      )
    for (const { id } of trials) told(id)
  } else if (work === 'importing') {
    const { learnerId: _, ...rest } = record
    const outcome = { ...rest.outcome, note: `import ${turn}` }
    const records = Array.from({ length: 40 }, () => ({ ...rest, outcome, id: randomUUID(), learner: wren.codeName }))
    const things = packing()
    for (const one of records) things.add(one)
    takeInRecords(store, { things: things.blocks(), found: records.map(() => []) })
  } else if (work === 'backing-up') {
    store.save(record, [])
    await makeBackup(store.path, 5)
  } else {
    const id = randomUUID()
    store.addLearner({ id, codeName: `Bird ${id.slice(0, 6)}` })
    for (let i = 0; i < 5; i++) store.save({ ...sample!, id: randomUUID(), learnerId: id }, [])
    await eraseLearner(() => store, id)
    told(id)
  }
}
