import { strToU8, zipSync } from 'fflate'
import { filesIn, keyOf } from '../../app/utils/rosterFiles'
import { readRoster, type RosterFile } from '../../shared/oneRoster'

/**
 * A school's list as OneRoster 1.1 CSV has it (1EdTech, OneRoster 1.1 Final Specification, CSV Tables, 2017; from memory): headings in
 * its order, quoted where RFC 4180 wants it, status and date empty in a bulk file.
 */
const USERS = `sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,userIds,givenName,familyName,middleName,identifier,email,sms,phone,agentSourcedIds,grades,password
u1,,,true,o1,student,one,,Ann,"Berg, von",,,,,,,02,
u2,,,true,o1,student,two,,Bo,Chan,,,,,,,02,
u3,,,false,o1,student,three,,Cy,Dale,,,,,,,02,
t1,,,true,o1,teacher,four,,Di,Ely,,,,,,,,
u4,tobedeleted,2026-09-01T00:00:00.000Z,true,o1,student,five,,Ed,Fox,,,,,,,02,
`
const CLASSES = `sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,schoolSourcedId,termSourcedIds,subjects,subjectCodes,periods
c1,,,"The ""Loft""",02,k1,,homeroom,,o1,t26,,,
c2,,,Reading,02,k2,,scheduled,,o1,t26,,,
`
const ENROLLED = `sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate
e1,,,c1,o1,u1,student,,2026-09-01,2027-07-01
e2,,,c1,o1,u2,student,,,
e3,,,c2,o1,u1,student,,,
e4,,,c1,o1,t1,teacher,true,,
e5,,,c1,o1,u3,student,,,
`
const files = (over: Partial<Record<'users' | 'classes' | 'enrollments', string>> = {}): RosterFile[] =>
  Object.entries({ users: USERS, classes: CLASSES, enrollments: ENROLLED, ...over }).map(([name, text]) => ({
    name: `${name}.csv`,
    text,
  }))
const badOf = (over: Parameters<typeof files>[0]) =>
  readRoster(files(over)).bad.map((b) => [b.file, b.line, b.reason] as const)

test('students, their classes, and who has left; teachers are no learners', () => {
  const { people, classes, bad } = readRoster(files())
  expect(bad).toEqual([])
  expect(classes).toEqual([
    { id: 'c1', title: 'The "Loft"', learners: 2 },
    { id: 'c2', title: 'Reading', learners: 1 },
  ])
  expect(people).toEqual([
    { rosterId: 'u1', given: 'Ann', family: 'Berg, von', classes: ['c1', 'c2'], gone: false },
    { rosterId: 'u2', given: 'Bo', family: 'Chan', classes: ['c1'], gone: false },
    { rosterId: 'u3', given: 'Cy', family: 'Dale', classes: ['c1'], gone: true },
    { rosterId: 'u4', given: 'Ed', family: 'Fox', classes: [], gone: true },
  ])
})

test('each bad line is told with its file, its line and the reason; the others are read', () => {
  expect(
    badOf({ enrollments: `${ENROLLED}e6,,,c9,o1,u1,student,,,\ne7,,,c1,o1,u9,student,,,\ne1,,,c1,o1,u2,student,,,\n` }),
  ).toEqual([
    ['enrollments.csv', 7, 'No class in classes.csv is called c9.'],
    ['enrollments.csv', 8, 'Nobody in users.csv is called u9.'],
    ['enrollments.csv', 9, 'The sourcedId e1 stands on line 2 already.'],
  ])
  expect(
    badOf({
      users: `${USERS}u5,,,true,o1,pupil,six,,Flo,Gray,,,,,,,02,\nu6,,,true,o1,student,seven,,,Hay,,,,,,,02,\nu7,,,yes,o1,student,x,,I,J,,,,,,,02,\nu8,,,true\n`,
    }),
  ).toEqual([
    ['users.csv', 7, 'Its role is pupil, which the format does not have.'],
    ['users.csv', 8, 'givenName is empty.'],
    ['users.csv', 9, 'Its enabledUser is yes: true or false is wanted.'],
    ['users.csv', 10, 'It has 4 values; the headings are 18.'],
  ])
  // A value that holds a line end does not put the count of lines out.
  const two = USERS.replace('Bo,Chan', '"Bo\nBert",Chan')
  expect(badOf({ users: `${two}u5,gone,,true,o1,student,six,,Flo,Gray,,,,,,,02,\n` })).toEqual([
    ['users.csv', 8, 'Its status is gone: active or tobedeleted is wanted.'],
  ])
  expect(badOf({ classes: CLASSES.replace('homeroom', 'club') })).toContainEqual([
    'classes.csv',
    2,
    'Its classType is club, which the format does not have.',
  ])
})

test('what is no such list is refused with a sentence', () => {
  expect(() => readRoster(files().slice(0, 2))).toThrow('Choose enrollments.csv too, or the whole zip file.')
  expect(() => readRoster(files({ users: 'name,age\nAnn,8\n' }))).toThrow(
    /users\.csv has no column sourcedId, enabledUser/,
  )
  expect(() =>
    readRoster([...files(), { name: 'manifest.csv', text: 'propertyName,value\noneroster.version,2.0\n' }]),
  ).toThrow('These files are of OneRoster 2.0; 1.1 is read here.')
  const none = readRoster(files({ enrollments: ENROLLED.split('\n')[0]! }))
  expect(none.people.every((p) => p.classes.length === 0)).toBe(true)
})

test('a byte order mark, other line ends, another order of columns and more of them are read alike', () => {
  const swapped = USERS.split('\n')
    .filter((l) => l !== '')
    .map((l, i) => (i === 0 ? 'metadata.note,' : 'x,') + l)
    .join('\r\n')
  expect(readRoster(files({ users: `\uFEFF${swapped}` })).people).toEqual(readRoster(files()).people)
})

test('a zip file is unpacked; one that is broken is told', async () => {
  const zip = zipSync({
    'export/users.csv': strToU8(USERS),
    'export/classes.csv': strToU8(CLASSES),
    'export/enrollments.csv': strToU8(ENROLLED),
    'export/demographics.csv': strToU8('not,read\n'),
  })
  const read = await filesIn([new File([zip as BlobPart], 'list.zip')])
  expect(read.map((f) => f.name).sort()).toEqual(['export/classes.csv', 'export/enrollments.csv', 'export/users.csv'])
  expect(readRoster(read)).toEqual(readRoster(files()))
  await expect(filesIn([new File(['no zip'], 'list.zip')])).rejects.toThrow('list.zip cannot be unpacked.')
})

test('who is who goes out as CSV that no spreadsheet takes for a formula', () => {
  const { people } = readRoster(files({ users: USERS.replace('Bo,Chan', '"=1+1",Chan') }))
  const key = keyOf(people, [
    { rosterId: 'u1', codeName: 'Heron' },
    { rosterId: 'u2', codeName: 'Moor' },
  ])
  expect(key.split('\r\n')).toEqual([
    'givenName,familyName,sourcedId,codeName',
    'Ann,"Berg, von",u1,Heron',
    '"\'=1+1",Chan,u2,Moor',
  ])
})
