import * as vue from 'vue'
import { openWindow, stored } from './nuxt'
import { useBench } from '../../app/stores/bench'
import { useShowing } from '../../app/composables/useShowing'

/** VueUse's interval, told by hand when it is time. */
let ticks: (() => void)[] = []
const tick = (): void => ticks.forEach((t) => t())
Object.assign(globalThis, {
  useBench,
  useIntervalFn: (onTime: () => void) => {
    const isActive = vue.ref(false)
    ticks = [() => isActive.value && onTime()]
    return { isActive, pause: () => (isActive.value = false), resume: () => (isActive.value = true) }
  },
})

function showing(problem: string, material: 'blocks' | 'abacus' = 'blocks') {
  stored.clear()
  openWindow()
  const bench = useBench()
  bench.ask(problem, { mode: 'show', material })
  return { bench, ...useShowing() }
}

test('forward and back go a step each way, and stop at the ends', () => {
  const { bench, forward, back } = showing('52 - 37')
  back()
  expect(bench.stones).toHaveLength(0)
  while (forward());
  expect(bench.result.right).toBe(true)
  const all = bench.stones.length
  expect(forward()).toBe(false)
  back()
  expect(bench.stones).toHaveLength(all - 1)
})

test('where a prediction is wanted, it pauses before what changes the mat, and goes on when asked again', () => {
  const { bench, forward, predicts, asked } = showing('52 - 37')
  predicts.value = true
  forward()
  forward()
  expect([bench.stones.length, asked.value]).toEqual([2, null])
  expect(forward()).toBe(false)
  expect(asked.value).toMatchObject({ direction: 'same', kinds: ['10', '1'] })
  expect(bench.stones).toHaveLength(2)
  forward()
  expect([bench.stones.length, asked.value]).toEqual([3, null])
})

test('of beads the rods that move are foretold, once for a digit, not for each of its movements', () => {
  const { bench, forward, predicts, asked } = showing('38 + 7', 'abacus')
  for (let i = 0; bench.stones.at(-1)?.label !== '+ 7' && i < 20; i++) forward()
  predicts.value = true
  forward()
  expect(asked.value).toMatchObject({ direction: 'up', kinds: ['10', '1'] })
  forward()
  expect(bench.stones.at(-1)?.step).toBe('part')
  forward()
  expect([bench.stones.at(-1)?.step, asked.value]).toEqual(['planned', null])
})

test('going back, or another problem, takes the question away', async () => {
  const { bench, forward, back, predicts, asked } = showing('52 - 37')
  forward()
  forward()
  predicts.value = true
  forward()
  expect(asked.value).not.toBeNull()
  back()
  expect(asked.value).toBeNull()
  forward()
  forward()
  expect(asked.value).not.toBeNull()
  bench.ask('20 + 4')
  await vue.nextTick()
  expect(asked.value).toBeNull()
})

test('playing goes by itself to the end, and stops; another problem stops it too', async () => {
  const { bench, play, playing } = showing('52 - 37')
  play()
  expect([bench.stones.length, playing.value]).toEqual([1, true])
  for (let i = 0; i < 20; i++) tick()
  expect([bench.result.right, playing.value]).toEqual([true, false])
  bench.ask('20 + 4')
  play()
  bench.ask('30 + 3')
  await vue.nextTick()
  expect(playing.value).toBe(false)
  play()
  play()
  expect(playing.value).toBe(false)
})

test('a record is looked through, not worked', () => {
  const { bench, forward, back } = showing('52 - 37')
  bench.ask('52 - 37', { mode: 'alone' })
  for (const move of ['lay 5 tens', 'lay 2 ones']) bench.type(move)
  const work = structuredClone(JSON.parse(stored.get('sett.draft')!).work)
  bench.open({
    id: '3f0e0000-0000-4000-8000-000000000003',
    learnerId: 'w',
    startedAt: '2026-11-24T09:30:00Z',
    work,
    outcome: { right: false, help: 'independent', note: '' },
  })
  back()
  expect(bench.replaying?.at).toBe(1)
  forward()
  expect(bench.replaying?.at).toBe(2)
  expect(forward()).toBe(false)
  expect(bench.replaying?.at).toBe(2)
  back()
  back()
  back()
  expect([bench.replaying?.at, bench.bench.log.length]).toEqual([0, 0])
})
