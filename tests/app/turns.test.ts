import { openWindow, serverSays, stored } from './nuxt'
import { useBench } from '../../app/stores/bench'
import { useClassroom } from '../../app/stores/classroom'
import type { Queued } from '../../app/utils/queued'

/** A lesson at the Bench: whose work is whose, what is saved by itself, and what is left. */

type BenchStore = ReturnType<typeof useBench>
const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 0))

const WREN: Queued = { problem: '3 + 4', learner: 'wren', lesson: 'monday', material: 'blocks', mode: 'alone' }
const PIP: Queued = { problem: '52 - 37', learner: 'pip', lesson: 'monday', material: 'blocks', mode: 'alone' }
const ALL: Queued = { problem: '9 - 2', learner: null, lesson: 'monday', material: 'blocks', mode: 'show' }

function inLesson(...turns: readonly Queued[]): BenchStore {
  stored.clear()
  openWindow()
  const bench = useBench()
  expect(bench.begin(turns)).toBeNull()
  return bench
}
const work = (bench: BenchStore, ...moves: readonly string[]): void => {
  for (const move of moves) expect(bench.type(move)).toBe(true)
}
const drafts = (bench: BenchStore): unknown[] => bench.asides.map((d) => [d.learner, d.work.problem, d.turn?.lesson])

test('a turn that is finished is saved by itself under its learner, and the lesson knows of it', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  expect(asked.map((a) => a.url)).toEqual(['/api/records', '/api/lessons/monday/done'])
  expect(asked[0]!.body).toMatchObject({
    id: bench.id,
    learnerId: 'wren',
    outcome: { right: true, help: 'independent' },
  })
  expect(asked[1]!.body).toEqual({ learner: 'wren', problem: '3 + 4', mode: 'alone', record: bench.id })
  expect([bench.unsaved, bench.savedTurn?.learner]).toEqual([false, 'wren'])
  await bench.another()
  expect([useClassroom().learnerId, bench.problem, bench.asides]).toEqual(['pip', '52 - 37', []])
  expect(asked).toHaveLength(2)
})

test('what is changed after the answer is saved again, and never as somebody else’s', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 6')
  await settled()
  bench.undo()
  await bench.another()
  expect(asked.filter((a) => a.url === '/api/records').map((a) => a.body)).toMatchObject([
    { learnerId: 'wren', outcome: { right: false } },
    { learnerId: 'wren', outcome: { right: false }, work: { moves: { length: 5 } } },
  ])
  expect(bench.asides).toEqual([])
})

test('a turn without an answer waits with the unsaved work, and is its learner’s whoever’s turn it is then', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones')
  await bench.another()
  expect(asked).toEqual([])
  expect(drafts(bench)).toEqual([['wren', '3 + 4', 'monday']])
  work(bench, 'lay 5 tens')
  const [left] = bench.asides
  bench.openAside(left!.id)
  expect([bench.whose, bench.problem, bench.turn?.learner]).toEqual(['wren', '3 + 4', 'wren'])
  expect(drafts(bench)).toEqual([['pip', '52 - 37', 'monday']])
  // It is saved from where it lies, under its own name, and the lesson is told.
  await bench.save('pip', { right: false, help: 'shown', note: '' }, bench.asides[0])
  expect(asked.map((a) => a.url)).toEqual(['/api/records', '/api/lessons/monday/done'])
  expect(asked[0]!.body).toMatchObject({ learnerId: 'pip', work: { problem: '52 - 37' } })
  expect(bench.asides).toEqual([])
})

test('a save of its own is taken back: the work is unsaved again, and the turn open', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  const { id } = bench
  await bench.another()
  await bench.undoSave()
  expect(asked.slice(2).map((a) => a.url)).toEqual([`/api/records/${id}`, `/api/lessons/monday/done?record=${id}`])
  expect(drafts(bench)).toEqual([['wren', '3 + 4', 'monday']])
  expect(bench.savedTurn).toBeNull()
})

test('what was taken back is not saved by itself again, and waits with the unsaved work', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  await bench.undoSave()
  await bench.another()
  expect(asked.filter((a) => a.url === '/api/records')).toHaveLength(1)
  expect(drafts(bench)).toEqual([['wren', '3 + 4', 'monday']])
})

test('help and note that the teacher has given stay when what comes after is saved', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays()
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 6')
  await settled()
  await bench.save('wren', { right: false, help: 'spoken', note: 'counted one twice' })
  bench.undo()
  work(bench, 'read 7')
  await settled()
  const outcomes = asked.filter((a) => a.url === '/api/records').map((a) => (a.body as { outcome: object }).outcome)
  expect(outcomes.at(-1)).toEqual({ right: true, help: 'spoken', note: 'counted one twice' })
})

test('a lesson that could not be told is told again with the work, which waits until then', async () => {
  const bench = inLesson(WREN, PIP)
  const asked = serverSays({}, new TypeError('gone'))
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  expect([bench.unsaved, bench.turnTrouble]).toEqual([true, expect.stringContaining('does not answer')])
  await bench.another()
  expect(asked.slice(2).map((a) => a.url)).toEqual(['/api/records', '/api/lessons/monday/done'])
  expect([bench.asides, bench.turnTrouble]).toEqual([[], ''])
})

test('a lesson that is gone keeps nobody from saving', async () => {
  const bench = inLesson(WREN, PIP)
  serverSays({}, new Response('{"detail":"There is no such lesson."}', { status: 404 }))
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  expect([bench.unsaved, bench.turnTrouble]).toEqual([false, ''])
})

test('in Show only what hands did is somebody’s work: stepping is let go, and goes on where another learner is chosen', async () => {
  stored.clear()
  openWindow()
  const [bench, room] = [useBench(), useClassroom()]
  room.learnerId = 'wren'
  bench.ask('33 + 4', { mode: 'show', material: 'abacus' })
  for (let i = 0; i < 3; i++) bench.advance()
  const { length } = bench.bench.log
  room.learnerId = 'pip'
  await settled()
  expect([bench.bench.log.length, bench.whose]).toEqual([length, 'pip'])
  bench.ask('52 - 37', { mode: 'show', material: 'blocks' })
  expect(bench.asides).toEqual([])
  work(bench, 'lay 52', 'take 1 one')
  bench.ask('20 + 4')
  expect(drafts(bench)).toEqual([['pip', '52 - 37', undefined]])
})

test('where the server does not answer, the turn is told as unsaved, and waits', async () => {
  const bench = inLesson(WREN, PIP)
  serverSays(new TypeError('gone'), new TypeError('gone'))
  work(bench, 'lay 3 ones', 'set 4 ones', 'push 4 ones', 'read 7')
  await settled()
  expect([bench.unsaved, bench.turnTrouble]).toEqual([true, expect.stringContaining('does not answer')])
  await bench.another()
  expect(drafts(bench)).toEqual([['wren', '3 + 4', 'monday']])
})

test('what was shown to all counts as done once it is gone on from', async () => {
  const bench = inLesson(ALL, WREN)
  const asked = serverSays()
  await bench.another()
  expect(asked).toEqual([
    { url: '/api/lessons/monday/done', body: { learner: null, problem: '9 - 2', mode: 'show', record: null } },
  ])
})

test('leaving a lesson can be undone, and asking something else in between leaves the rest of it', async () => {
  const bench = inLesson(WREN, PIP)
  bench.leaveQueue()
  expect([bench.lesson, bench.queue, bench.problem]).toEqual([null, [], '3 + 4'])
  bench.backToQueue()
  expect([bench.lesson, bench.queue.length, bench.turn?.learner]).toEqual(['monday', 1, 'wren'])
  bench.ask('20 + 5')
  expect([bench.turn, bench.lesson]).toEqual([null, 'monday'])
})

test('a window that was closed before the first move of a turn opens with that turn', () => {
  inLesson(WREN, PIP)
  openWindow()
  const again = useBench()
  expect([again.restore(), again.resumeTurn()]).toEqual([false, true])
  expect([again.problem, again.turn?.learner, again.queue.length]).toEqual(['3 + 4', 'wren', 1])
})

test('choosing another learner begins anew; the work is still whose it was', async () => {
  stored.clear()
  openWindow()
  const [bench, room] = [useBench(), useClassroom()]
  room.learnerId = null
  bench.ask('52 - 37', { mode: 'alone' })
  work(bench, 'lay 5 tens')
  // Work of nobody in particular is whose name is said first.
  room.learnerId = 'wren'
  await settled()
  expect([bench.whose, bench.bench.log.length]).toEqual(['wren', 1])
  room.learnerId = 'pip'
  await settled()
  expect([bench.whose, bench.problem, bench.bench.log.length]).toEqual([null, '52 - 37', 0])
  expect(drafts(bench)).toEqual([['wren', '52 - 37', undefined]])
})

test('where a learner is erased, their unsaved work goes, and nobody else’s', () => {
  const bench = inLesson(WREN, PIP, WREN)
  work(bench, 'lay 3 ones')
  bench.asides = [
    { id: 'a', startedAt: '', work: {} as never, learner: 'wren' },
    { id: 'b', startedAt: '', work: {} as never, learner: 'pip' },
    { id: 'c', startedAt: '', work: {} as never },
  ]
  bench.forget('wren')
  expect(bench.asides.map((d) => d.id)).toEqual(['b'])
  expect([bench.bench.log.length, bench.queue, bench.turn]).toEqual([0, [PIP], null])
})
