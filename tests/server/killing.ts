import assert from 'node:assert/strict'
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { seedDemo } from '../../demo/lantern-walk'
import { backupsOf, listBackups } from '../../server/utils/backups'
import { makeStore } from '../../server/utils/store'

/** What a server may be killed at (`working.ts` does it over and over). */
export const WORKS = ['saving', 'noting', 'importing', 'backing-up', 'erasing'] as const
export type Work = (typeof WORKS)[number]

/** So long after its beginning a process is killed, at a time of its own each turn, in milliseconds. */
const killedAfter = (turn: number): number => 5 + ((17 * turn) % 200)

/**
 * Kills a process that works on a data folder, so many times over, and looks at what is left each time.
 * @throws AssertionError when anything that was told is gone, or the database is not whole.
 */
export async function killed(work: Work, times: number): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'sett-killed-'))
  const first = makeStore(join(data, 'sett.db'))
  seedDemo(first, new Date('2026-11-24T12:00:00Z'))
  first.db.close()
  for (let i = 0; i < times; i++) {
    const child = spawn(process.execPath, ['--import', 'tsx', 'tests/server/working.ts', work, data], {
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    await new Promise<void>((done) => child.stdout.once('data', () => done()))
    await new Promise((next) => setTimeout(next, killedAfter(i)))
    child.kill('SIGKILL')
    await new Promise((done) => child.once('exit', done))
    look(work, data)
  }
}

function look(work: Work, data: string): void {
  const store = makeStore(join(data, 'sett.db'))
  assert.equal(store.db.pragma('integrity_check', { simple: true }), 'ok')
  assert.equal((store.db.pragma('foreign_key_check') as unknown[]).length, 0)
  const told = existsSync(join(data, 'told'))
    ? readFileSync(join(data, 'told'), 'utf8').split('\n').filter(Boolean)
    : []
  if (work === 'saving') for (const id of told) assert.ok(store.record(id), `${id} was told to be saved, and is gone`)
  // Ten trials come at a time: all of them are there, each once.
  if (work === 'noting') {
    for (const id of told) assert.ok(store.trial(id), `${id} was told to be kept, and is gone`)
    const noted = [...store.trials(null)].filter((t) => t.kind === 'table')
    assert.equal(noted.length % 10, 0)
    assert.equal(new Set(noted.map((t) => t.id)).size, noted.length)
  }
  if (work === 'erasing')
    for (const id of told) assert.ok(!store.learner(id) && store.keptOf(id).records === 0, `${id} is back`)
  // A file is there whole or not at all: forty records each.
  if (work === 'importing') {
    const imported = [...store.records(null)].filter((r) => r.outcome.note.startsWith('import')).length
    assert.equal(imported % 40, 0)
  }
  for (const { name } of listBackups(store.path)) {
    const copy = new Database(join(backupsOf(store.path), name), { readonly: true })
    assert.equal(copy.pragma('integrity_check', { simple: true }), 'ok')
    assert.ok(copy.prepare("SELECT 1 FROM learner WHERE code_name = 'Wren'").get())
    copy.close()
  }
  store.db.close()
}
