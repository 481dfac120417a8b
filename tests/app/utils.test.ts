import { serverSays } from './nuxt'
import { exchangeIn, placesOf } from '../../app/utils/lit'
import { request, ServerRefusal } from '../../app/utils/request'
import { keptDrafts, keptId } from '../../app/utils/kept'
import { exchangeAct, type Act } from '../../core/act/act'
import { exact } from '../../core/number/exact'
import { plan } from '../../core/plan/plan'

describe('which places are lit', () => {
  const lit = (problem: string, id: 'blocks' | 'abacus'): number[][] =>
    plan({ problem, representation: id }).steps.map((s) => placesOf(s.act))

  test('with blocks those of the pieces that moved, of an exchange both', () => {
    // Lay 52, ask, break a ten, take seven ones, take three tens, read.
    expect(lit('52 - 37', 'blocks')).toEqual([[1, 0], [], [1, 0], [0], [1], []])
  })

  test('on beads the digit’s own rod, and those above that it sets off', () => {
    // 98 + 7: the ones, and a ten that ripples over the tens to the hundreds.
    expect(lit('98 + 7', 'abacus').at(-2)!.sort()).toEqual([0, 1, 2])
    expect(lit('33 + 40', 'abacus').at(-2)).toEqual([1])
  })

  test('the exchange among acts, from one place to another', () => {
    const read: Act = { kind: 'read', value: exact(5) }
    expect(exchangeIn([read, exchangeAct(1, false)])).toEqual({ from: 1, to: 0 })
    expect(exchangeIn([read])).toBeNull()
  })
})

describe('asking the server', () => {
  test('what it answers is given as it is, and nothing where there is nothing', async () => {
    serverSays({ a: 1 }, new Response(null, { status: 204 }))
    expect(await request('/api/x')).toEqual({ a: 1 })
    expect(await request('/api/x', { method: 'DELETE' })).toBeUndefined()
  })

  test('its refusals keep their own sentence; without one, and where it is silent, there is one for people too', async () => {
    const answer = (body: string, status: number): Response => new Response(body, { status })
    serverSays(answer('{"detail":"No such learner."}', 422), answer('<html>', 502), new TypeError('gone'))
    await expect(request('/api/x')).rejects.toMatchObject({ status: 422, message: 'No such learner.' })
    await expect(request('/api/x')).rejects.toMatchObject({ status: 502, message: 'The server could not do that.' })
    await expect(request('/api/x')).rejects.toBeInstanceOf(ServerRefusal)
  })
})

test('what is kept in the browser is read again with doubt', () => {
  const draft = { id: 'a', startedAt: '2026-11-24T09:30:00Z', work: {} as never }
  expect(keptDrafts.read(keptDrafts.write([draft]))).toEqual([draft])
  expect(['{', 'null', '{}', '[1, {"id": 2}]'].map((t) => keptDrafts.read(t))).toEqual([[], [], [], []])
  expect([keptId.read(keptId.write('abacus')), keptId.read(keptId.write(null)), keptId.read('abacuses')]).toEqual([
    'abacus',
    null,
    null,
  ])
})
