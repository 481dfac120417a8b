import { diagnose, itemsOf, readTable } from '../../core/diagnose/index'
import { emptyRow, filledRows, rowOf, rowsOf } from '../../app/utils/answerRows'
import { marksAsCsv, rowsIn } from '../../app/utils/answersTable'

/** A table with all that is wrong in it, as the page puts it together. */
function tableOf(text: string) {
  const { rows, broken } = rowsIn(text)
  const { table, troubles } = readTable(rows)
  return { table, troubles: [...broken, ...troubles].sort((a, b) => a.line - b.line) }
}

describe('lines of a page', () => {
  test.each([
    ['52 - 37 = 25', ['52 - 37', '25']],
    ['52 - 37', ['52 - 37', '']],
    ['2/3 = ?/12 = 8', ['2/3 = ?/12', '8']],
    ['2/3 = ?/12', ['2/3 = ?/12', '']],
    ['52 - 37\t25', ['52 - 37', '25']],
  ])('%j', (line, [problem, answer]) => {
    expect(rowOf(line)).toMatchObject({ problem, answer })
  })

  test('pasted lines, with marks above the columns, and without the empty ones', () => {
    expect(rowsOf('52 - 37\t25\t4 12\r\n\r\n8 + 5 = 12\n')).toEqual([
      { problem: '52 - 37', answer: '25', above: '4 12' },
      { problem: '8 + 5', answer: '12', above: '' },
    ])
    expect(filledRows([emptyRow(), { ...emptyRow(), answer: '3' }])).toHaveLength(1)
  })
})

describe('a table of a class', () => {
  test('as RFC 4180 has it: quoted cells, commas and quotation marks in them, either end of line, a mark of encoding', () => {
    const { table, troubles } = tableOf('\uFEFFproblem,"Wren, the first","Pip ""P"""\r\n"52 - 37",25,15\n8 + 5,12,\r\n')
    expect(troubles).toEqual([])
    expect(table).toEqual({
      problems: ['52 - 37', '8 + 5'],
      learners: [
        { name: 'Wren, the first', answers: ['25', '12'] },
        { name: 'Pip "P"', answers: ['15', ''] },
      ],
    })
  })

  test('as it is copied out of a spreadsheet, or with semicolons', () => {
    for (const by of ['\t', ';']) {
      const { table } = tableOf(
        [`problem${by}Wren${by}Pip`, `52 - 37${by}25${by}15`, `1.5 + 2${by}3.5${by}1.7`].join('\n'),
      )
      expect(table.learners[1]).toEqual({ name: 'Pip', answers: ['15', '1.7'] })
    }
  })

  test('what is broken is told by the line that it begins on, and good lines go in', () => {
    const text = ['problem,Wren', '52 - 37,25', '"64 -', ' 21",43', '8 + 5,"12" or 13', '9 + 4,13', '7 + 7,"14'].join(
      '\n',
    )
    const { table, troubles } = tableOf(text)
    expect(table.problems).toEqual(['52 - 37', '64 -\n 21', '9 + 4'])
    expect(troubles.map((t) => t.line)).toEqual([5, 7])
    expect(troubles.find((t) => t.line === 5)!.reason).toContain('quotation mark inside a cell')
    expect(troubles.find((t) => t.line === 7)!.reason).toContain('never closed')
  })

  test('nothing, or far too much, is told kindly', () => {
    expect(tableOf('').troubles[0]!.reason).toContain('The table is empty')
    expect(tableOf('x'.repeat(600_001)).troubles[0]!.reason).toContain('at most 600,000')
  })

  test('marked, it is a file again', () => {
    const { table } = tableOf(
      ['problem,"Wren, the first",Pip', '52 - 37,25,15', '81 - 38,57,43', '70 - 46,36,', '95 - 48,53,47'].join('\n'),
    )
    const said = table.learners.map(({ answers }) => diagnose({ items: itemsOf(table, answers) }))
    expect(marksAsCsv(table, said).split('\r\n')).toEqual([
      'learner,right,wrong,blank,way of working,how likely',
      expect.stringMatching(
        /^"Wren, the first",0,4,0,took the smaller digit from the larger in each column,(1\.00|0\.\d\d)$/,
      ),
      'Pip,3,0,1,,',
    ])
  })
})
