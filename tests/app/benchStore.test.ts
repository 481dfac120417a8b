import { openWindow, serverSays, stored } from './nuxt'
import { useBench } from '../../app/stores/bench'
import { useClassroom } from '../../app/stores/classroom'
import { DEFAULT_CHOICES, WORD_SETS } from '../../core/choices'
import { REPRESENTATIONS } from '../../core/representation/index'
import { handsSchema } from '../../shared/schemas'

type BenchStore = ReturnType<typeof useBench>

/** A bench in a window of its own, with nothing kept from before. */
function fresh(): BenchStore {
  stored.clear()
  openWindow()
  return useBench()
}
/** The same person's bench after the lid was closed and opened again. */
function reopened(): BenchStore {
  openWindow()
  return useBench()
}
const labels = (b: BenchStore): string[] => b.stones.map((s) => s.label)
const alone = (problem: string, ...moves: string[]): BenchStore => {
  const b = fresh()
  expect(b.ask(problem, { mode: 'alone' })).toBeNull()
  for (const move of moves) expect(b.type(move)).toBe(true)
  return b
}

describe('asking', () => {
  test('a problem that cannot be read is refused with its place; what is on the bench stays', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const refused = b.ask('52 -')
    expect(refused?.message).toMatch(/\w/)
    expect(b.problem).toBe('52 - 37')
    expect(labels(b)).toEqual(['lay 50'])
  })

  test('a problem that the material cannot hold is refused with the reason', () => {
    const b = fresh()
    expect(b.ask('14 + 9', { material: 'fingers' })?.message).toMatch(/14 \+ 9 is 23.*two hands/)
    expect(b.bench.setup.representation).toBe('blocks')
  })

  test('a way that does not suit the material gives place to one that does', () => {
    const b = fresh()
    expect(b.ask('33 + 4', { material: 'abacus', way: 'ones-first' })).toBeNull()
    expect(b.way).toBe('compensate')
  })

  test('the room’s choices are taken, and those of this bench before them', () => {
    const b = fresh()
    useClassroom().classroom = {
      name: 'the Loft',
      words: WORD_SETS.regroup,
      hands: handsSchema.parse({ abacus: { order: 'ones' } }),
    }
    b.ask('46 + 27', { material: 'abacus' })
    expect(b.bench.setup.choices).toMatchObject({ words: WORD_SETS.regroup, abacus: { order: 'ones' } })
    b.setAbacus({ ...DEFAULT_CHOICES.abacus, order: 'highest', rods: 5 })
    expect(b.bench.setup.choices.abacus).toMatchObject({ order: 'highest', rods: 5 })
    b.setAbacus(null)
    expect(b.bench.setup.choices.abacus.order).toBe('ones')
  })
})

describe('moving', () => {
  test('a move that cannot be made is refused, and the refusal goes with the next one that can', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    expect(b.type('break hundred')).toBe(false)
    expect(b.refusal?.message).toMatch(/hundred/)
    expect(b.type('lay 2 ones')).toBe(true)
    expect(b.refusal).toBeNull()
  })

  test('a typed move goes to whichever material here knows it', () => {
    const b = fresh()
    b.ask('52 - 37', { mode: 'together' })
    for (const move of ['lay 5 tens', 'lay 2 ones', 'break ten']) expect(b.type(move)).toBe(true)
    expect(b.type('answer 5 ones')).toBe(true)
    expect(b.bench.log.last).toMatchObject({ on: 'columns', move: 'answer 5 ones' })
    expect(labels(b).at(-1)).toBe('take 7 ones')
  })

  test('undo and redo go back and forth between the same states', () => {
    const b = alone('52 - 37', 'lay 5 tens', 'lay 2 ones', 'break ten')
    const states = JSON.stringify(b.bench.now.states)
    b.undo()
    expect(labels(b)).toEqual(['lay 52', '− 37'])
    b.redo()
    expect(JSON.stringify(b.bench.now.states)).toBe(states)
  })

  test('Show goes stone by stone to the answer, and back to any stone', () => {
    const b = fresh()
    b.ask('52 - 37', { mode: 'show' })
    const coming = b.upcoming.length
    expect(coming).toBeGreaterThan(3)
    let steps = 0
    while (b.advance()) steps += 1
    expect(steps).toBeGreaterThan(3)
    expect(b.stones).toHaveLength(coming)
    expect(b.result.right).toBe(true)
    expect(b.next).toBeNull()
    b.jump(2)
    expect(b.stones).toHaveLength(2)
    b.jump(coming)
    expect(b.result.right).toBe(true)
  })

  test('on beads Show goes movement by movement, or a digit at once; a jump ends on whole digits', () => {
    const b = fresh()
    b.ask('33 + 4', { mode: 'show', material: 'abacus' })
    b.jump(2)
    expect(b.advance()).toBe(true)
    expect(b.stones.at(-1)?.step).toBe('part')
    expect(b.advance()).toBe(true)
    expect(b.stones.at(-1)?.step).toBe('planned')
    b.jump(2)
    b.byMove = false
    expect(b.advance()).toBe(true)
    expect(b.stones.at(-1)?.step).toBe('planned')
    b.byMove = true
    b.jump(2)
    b.jump(3)
    expect(b.stones.at(-1)?.step).toBe('planned')
  })
})

describe('nothing is lost', () => {
  test('a closed lid: the work comes back, move by move, with the time it had taken', () => {
    const b = alone('52 - 37', 'lay 5 tens', 'lay 2 ones', 'break ten')
    const [id, log] = [b.id, b.bench.log]
    const again = reopened()
    expect(again.restore()).toBe(true)
    expect([again.id, again.problem, again.mode]).toEqual([id, '52 - 37', 'alone'])
    expect(again.bench.log).toEqual(log)
    expect(again.unsaved).toBe(true)
  })

  test('a draft that is no work any more is let go, and the bench stands', () => {
    fresh()
    stored.set('sett.draft', '{"id":"x","startedAt":"","work":{"problem":"5 +"}}')
    expect(reopened().restore()).toBe(false)
    stored.set('sett.draft', '{')
    expect(reopened().restore()).toBe(false)
  })

  test('work whose material could not be fetched goes on the pile, and is brought back once it is here', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    expect(b.moveTo('drawn')).toBe(null)
    const [id, here] = [b.id, REPRESENTATIONS as Partial<Record<string, unknown>>]
    const { drawn } = here
    delete here.drawn
    const again = reopened()
    try {
      expect([again.restore(), again.asides.map((d) => d.id)]).toEqual([false, [id]])
    } finally {
      here.drawn = drawn
    }
    again.openAside(id)
    expect([again.id, again.material, again.bench.now.standing.value]).toEqual([id, 'drawn', '50'])
  })

  test('work left unsaved is set aside when another problem is asked, and can be brought back', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const { id } = b
    b.ask('20 + 4')
    expect(b.asides.map((d) => d.work.problem)).toEqual(['52 - 37'])
    b.openAside(id)
    expect([b.id, b.problem]).toEqual([id, '52 - 37'])
    expect(labels(b)).toEqual(['lay 50'])
  })

  test('several left unsaved are opened or deleted one by one, also over a closed lid, and what was deleted comes back', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    b.ask('20 + 4')
    b.type('lay 2 tens')
    b.ask('30 + 3')
    b.type('lay 3 tens')
    const again = reopened()
    again.restore()
    const lying = (): string[] => again.asides.map((d) => d.work.problem)
    expect(lying()).toEqual(['52 - 37', '20 + 4'])
    const [first, second] = again.asides.map((d) => d.id)
    again.openAside(second!)
    // What was being done when something was opened is unsaved work too.
    expect([again.problem, ...lying()]).toEqual(['20 + 4', '52 - 37', '30 + 3'])
    again.deleteAside(first!)
    expect(lying()).toEqual(['30 + 3'])
    again.undelete()
    expect(lying()).toEqual(['30 + 3', '52 - 37'])
    stored.set('sett.aside', '[{"id":"x"},7]')
    expect(reopened().asides).toEqual([])
  })

  test('work that goes on from a saved record, set aside, outlives opening that record again', async () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const { id, startedAt } = b
    const outcome = { right: false, help: 'independent', note: '' } as const
    const work = structuredClone(JSON.parse(stored.get('sett.draft')!).work)
    serverSays({})
    await b.save('w', outcome)
    b.type('lay 2 ones')
    b.ask('20 + 4')
    b.open({ id, learnerId: 'w', startedAt, work, outcome })
    expect(b.asides).toHaveLength(1)
    b.openAside(id)
    expect([b.id, labels(b)[0], b.asides.length]).toEqual([id, 'lay 52', 0])
  })

  test('a draft that cannot be worked any more is told, and stays on the pile', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    b.asides = [{ id: 'x', startedAt: '', work: { problem: '5 +' } as never }]
    b.openAside('x')
    expect(b.refusal?.message).toMatch(/\w/)
    expect([b.asides.length, labels(b)]).toEqual([1, ['lay 50']])
  })

  test('opening a record, or saving, lets nothing go that was set aside', async () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const work = structuredClone(JSON.parse(stored.get('sett.draft')!).work)
    const outcome = { right: false, help: 'independent', note: '' } as const
    b.ask('20 + 4')
    b.type('lay 2 tens')
    const id = '3f0e0000-0000-4000-8000-000000000002'
    b.open({ id, learnerId: 'w', startedAt: '2026-11-24T09:30:00Z', work, outcome })
    expect(b.asides.map((d) => d.work.problem)).toEqual(['52 - 37', '20 + 4'])
    serverSays({})
    await b.save('w', outcome)
    expect(b.asides).toHaveLength(2)
  })

  test('what was only shown is not work, and is not set aside', () => {
    const b = fresh()
    b.ask('52 - 37', { mode: 'show' })
    b.advance()
    b.ask('20 + 4')
    expect(b.asides).toEqual([])
  })

  test('what is done while a save is under way is not saved by it, nor is other work that was begun meanwhile', async () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const outcome = { right: false, help: 'independent', note: '' } as const
    serverSays({})
    const saving = b.save('w', outcome)
    b.type('lay 2 ones')
    await saving
    expect(b.unsaved).toBe(true)
    serverSays({})
    const again = b.save('w', outcome)
    b.ask('20 + 4', { mode: 'alone' })
    b.type('lay 2 tens')
    await again
    expect([b.problem, b.unsaved]).toEqual(['20 + 4', true])
  })

  test('saving sends what was done, and the server’s silence loses nothing', async () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const outcome = { right: false, help: 'independent', note: '' } as const
    serverSays(new TypeError('gone'))
    await expect(b.save('w', outcome)).rejects.toThrow('does not answer')
    expect(b.unsaved).toBe(true)
    const asked = serverSays({})
    await b.save('w', outcome)
    expect(asked[0]).toMatchObject({
      url: '/api/records',
      body: { id: b.id, learnerId: 'w', outcome, work: { problem: '52 - 37', moves: [{ move: 'lay 5 tens' }] } },
    })
    expect(b.unsaved).toBe(false)
    b.type('lay 2 ones')
    expect(b.unsaved).toBe(true)
  })

  test('the bench lent to the spinner comes back as it was', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    const was = { id: b.id, log: b.bench.log, draft: stored.get('sett.draft') }
    const giveBack = b.lend()
    b.ask('40 + 20', { mode: 'together', material: 'openline' })
    b.type('start at 40')
    expect(stored.get('sett.draft')).toBe(was.draft)
    expect(b.asides).toEqual([])
    giveBack()
    expect([b.id, b.bench.log, b.mode, b.material]).toEqual([was.id, was.log, 'alone', 'blocks'])
  })
})

describe('materials', () => {
  test('work goes on in another material as far as its acts allow; what did not come across is set aside', () => {
    const b = alone('52 - 37', 'lay 5 tens', 'lay 2 ones')
    expect(b.moveTo('chips')).toBeNull()
    expect(b.material).toBe('chips')
    expect(b.bench.now.standing.value).toBe('52')
    expect(b.asides).toEqual([])
    b.type('take 1 tens')
    b.type('give 1 tens')
    b.type('lay 9 hundreds')
    expect(b.moveTo('abacus')).toBeNull()
    expect(b.bench.now.standing.value === '952' || b.asides.length > 0).toBe(true)
  })

  test('a material that cannot hold the problem is refused, and all stays', () => {
    const b = alone('52 - 37', 'lay 5 tens')
    expect(b.moveTo('fingers')?.message).toMatch(/\w/)
    expect([b.material, labels(b)]).toEqual(['blocks', ['lay 50']])
  })

  test('a second one follows, is worked by hand, and is put away again', () => {
    const b = fresh()
    b.ask('46 + 27', { mode: 'together', material: 'abacus' })
    b.setBeside('chips')
    expect(b.second).toBe('chips')
    expect([b.bench.setup.all.includes('chips'), b.bench.setup.both]).toEqual([true, null])
    b.setBeside('chips', true)
    expect(b.bench.setup.both).toBe('chips')
    b.type('lay 4 tens')
    expect(b.bench.log.last).toMatchObject({ on: 'chips' })
    b.setBeside(null)
    expect([b.second, b.bench.setup.both]).toEqual([null, null])
    expect(b.asides[0]?.work.both).toBe('chips')
  })

  test('an abacus with too few rods is refused, and the bench stays as it was', () => {
    const b = fresh()
    b.ask('46 + 27', { mode: 'together', material: 'abacus' })
    b.setAbacus({ ...DEFAULT_CHOICES.abacus, rods: 1 })
    expect(b.refusal?.message).toMatch(/rod/)
    expect(b.ownAbacus).toBeNull()
    expect(b.bench.setup.choices.abacus.rods).toBe(0)
  })

  test('how this bench works its abacus is kept; what is no such choice is let go', () => {
    const b = fresh()
    b.ask('46 + 27', { material: 'abacus' })
    b.setAbacus({ ...DEFAULT_CHOICES.abacus, hands: 'both' })
    expect(reopened().abacus.hands).toBe('both')
    stored.set('sett.abacus', '{"hands":"both"}')
    expect(reopened().abacus).toEqual(DEFAULT_CHOICES.abacus)
    stored.set('sett.beside', 'a made-up material')
    expect(reopened().beside).toBeNull()
  })
})

describe('the next problem', () => {
  test('those set beforehand come first, in order, also over a closed lid', async () => {
    const b = fresh()
    b.ask('3 + 4', { material: 'abacus' })
    b.queue = [{ problem: '4 + 2 - 1' }, { problem: '3 + 3' }]
    expect(await b.another()).toBeNull()
    expect(b.problem).toBe('4 + 2 - 1')
    const again = reopened()
    expect(await again.another()).toBeNull()
    expect([again.problem, again.queue.length]).toEqual(['3 + 3', 0])
  })

  test('in a lesson they come with whose turn it is, and how it is worked; what was kept otherwise is read too', async () => {
    const b = fresh()
    const room = useClassroom()
    const turns = [
      { problem: '3 + 4', learner: 'pip', lesson: 'monday', material: 'counters', mode: 'together' },
      { problem: '52 - 37', learner: 'fen', lesson: 'monday', material: 'drawn', mode: 'alone' },
    ] as const
    expect(b.begin(turns)).toBeNull()
    expect([b.problem, b.bench.mode, b.bench.setup.representation, room.learnerId, b.lesson]).toEqual([
      '3 + 4',
      'together',
      'counters',
      'pip',
      'monday',
    ])
    serverSays()
    expect(await b.another()).toBeNull()
    expect([b.problem, b.bench.mode, b.bench.setup.representation, room.learnerId]).toEqual([
      '52 - 37',
      'alone',
      'drawn',
      'fen',
    ])
    // What follows the lesson is no part of it.
    expect(await b.another()).toBeNull()
    expect(b.lesson).toBeNull()
    stored.set('sett.queue', '["3 + 3",{"problem":"2 + 2","material":"lava","learner":7},5,{"material":"blocks"}]')
    expect(reopened().queue).toEqual([{ problem: '3 + 3' }, { problem: '2 + 2' }])
    stored.set('sett.queue', 'no list')
    expect(reopened().queue).toEqual([])
    // What cannot be asked changes nothing.
    expect(b.begin([{ problem: 'reeds', learner: 'ash' }])!.message).not.toBe('')
    expect(room.learnerId).toBe('fen')
  })

  test('then the same kind comes, with other numbers that the material holds', async () => {
    const b = fresh()
    b.ask('52 - 37')
    const seen = new Set([b.problem])
    for (let i = 0; i < 10; i++) {
      expect(await b.another()).toBeNull()
      expect(b.problem).toMatch(/^\d\d - \d\d$/)
      expect(seen.has(b.problem)).toBe(false)
      seen.add(b.problem)
    }
  })
})

describe('a record looked at', () => {
  const record = () => {
    const b = alone('52 - 37', 'lay 5 tens', 'lay 2 ones', 'break ten')
    return {
      id: '3f0e0000-0000-4000-8000-000000000001',
      learnerId: 'w',
      startedAt: '2026-11-24T09:30:00Z',
      work: { ...JSON.parse(stored.get('sett.draft')!).work },
      outcome: { right: false, help: 'independent' as const, note: '' },
      length: b.bench.log.length,
    }
  }

  test('every moment can be looked at, and nothing is changed by looking', () => {
    const r = record()
    const b = fresh()
    expect(b.open(r)).toBeNull()
    expect([b.id, b.unsaved, b.replaying?.at]).toEqual([r.id, false, r.length])
    b.look(1)
    expect(labels(b)).toEqual(['lay 50'])
    b.look(r.length + 5)
    expect(b.replaying?.at).toBe(1)
    b.look(r.length)
    expect(labels(b)).toEqual(['lay 52', '− 37', 'exchange 1 ten'])
    expect(b.unsaved).toBe(false)
  })

  test('a move of one’s own from the middle begins a record of its own; from the end it goes on', () => {
    const r = record()
    const b = fresh()
    b.open(r)
    b.look(1)
    b.type('lay 1 ones')
    expect(b.replaying).toBeNull()
    expect([b.id === r.id, b.unsaved]).toEqual([false, true])
    b.open(r)
    b.type('take 7 ones')
    expect([b.id, b.unsaved]).toEqual([r.id, true])
  })
})
