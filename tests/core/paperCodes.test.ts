import fc from 'fast-check'
import '../../core/index'
import { codeOf, setOf } from '../../core/diagnose/index'
import { codeOfList, isListCode, listCode } from '../../core/paper/index'

/** Codes of printed lists: always the same for the same list, and none is taken for another. */

describe('Codes', () => {
  const list = fc.array(fc.stringMatching(/^[0-9 +\-*/]{1,12}$/), { minLength: 1, maxLength: 8 })
  test('a list always has the same code, which is read however it is written, and is none of Marking’s own', () => {
    fc.assert(
      fc.property(list, (problems) => {
        const code = codeOfList(problems)
        expect(code).toMatch(/^[0-9A-Z]{4}-[0-9A-Z]{4}-[0-9A-Z]$/)
        expect(codeOfList([...problems])).toBe(code)
        expect(listCode(code.toLowerCase().replaceAll('-', ' '))).toBe(code)
        expect(() => setOf(code)).toThrow('a sign of it is wrong')
      }),
    )
    const own = codeOf({ family: 'taking away', most: 99, count: 12, seed: 7 })
    expect(isListCode(own)).toBe(false)
  })
  test('one wrong sign, and two that changed places, are noticed', () => {
    fc.assert(
      fc.property(
        list,
        fc.integer({ min: 0, max: 8 }),
        fc.constantFrom(...'0123456789ABCDEFGHJKMNPQRSTVWXYZ'),
        (problems, at, sign) => {
          const plain = codeOfList(problems).replaceAll('-', '')
          const wrong = plain.slice(0, at) + sign + plain.slice(at + 1)
          expect(isListCode(wrong)).toBe(wrong === plain)
        },
      ),
    )
  })
  test('different lists have different codes, in another order too', () => {
    const codes = new Set(Array.from({ length: 20_000 }, (_, i) => codeOfList([`${i} + 1`, '5 + 5'])))
    expect(codes.size).toBe(20_000)
    expect(codeOfList(['5 + 5', '1 + 1'])).not.toBe(codeOfList(['1 + 1', '5 + 5']))
  })
})
