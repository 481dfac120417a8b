/** What the npm commands share: running a program, installing and building only when needed. */
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Runs a program with its output shown; true when it went well. */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } })
  return done.status === 0
}

/** Runs a program quietly; its output is shown only when it failed. */
function runQuietly(command, args) {
  const done = spawnSync(command, args, { encoding: 'utf8', env: { ...process.env, CI: '1' }, maxBuffer: 1 << 28 })
  if (done.status !== 0) console.error(done.stdout, done.stderr)
  return done.status === 0
}

const stopUnless = (ok, sentence) => {
  if (ok) return
  console.error(sentence)
  process.exit(1)
}

const hashOf = (...parts) => parts.reduce((h, p) => h.update(p), createHash('sha256')).digest('hex')

/** Installs the packages when the lock file says others than are here. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  stopUnless(
    major > 20 || (major === 20 && minor >= 19),
    `Sett needs Node.js 20.19 or later; this is ${process.versions.node}.`,
  )
  const stamp = 'node_modules/.sett-installed'
  const wanted = hashOf(readFileSync('package-lock.json'))
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Installing packages (some minutes the first time) …')
  stopUnless(
    // Not `npm ci`: it refuses a lock file made where the registry holds only some platforms' optional packages.
    runQuietly('npm', ['install', '--no-save', '--no-audit', '--no-fund']),
    'The packages could not be installed; the lines above say why.',
  )
  writeFileSync(stamp, wanted)
}

const SOURCES = ['app', 'core', 'server', 'shared', 'demo', 'workers', 'public', 'nuxt.config.ts', 'package-lock.json']

function* filesOf(path) {
  if (!existsSync(path)) return
  if (!statSync(path).isDirectory()) yield path
  else for (const name of readdirSync(path).sort()) yield* filesOf(join(path, name))
}

const BUILT = '.output/.sett-built'
const sourcesNow = () => hashOf(...SOURCES.flatMap((s) => [...filesOf(s)]).flatMap((f) => [f, readFileSync(f)]))

/** Whether the built app is that of the sources as they are now. */
export const isBuilt = () => existsSync(BUILT) && readFileSync(BUILT, 'utf8') === sourcesNow()

/** Builds the app when any of its sources is other than at the last build. */
export function ensureBuilt() {
  if (isBuilt()) return
  const wanted = sourcesNow()
  console.log('Building (about a minute) …')
  stopUnless(runQuietly('npx', ['--no-install', 'nuxt', 'build']), 'The build failed; the lines above say why.')
  writeFileSync(BUILT, wanted)
}

/** Starts the built server, waits until it answers, prints one line, and stays until it is stopped. */
export async function serve({ env, said }) {
  const host = process.env.HOST ?? '127.0.0.1'
  const tls = certificate()
  const first = Number(process.env.PORT ?? 4242)
  const port = process.env.PORT ? first : await freeFrom(first, host)
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...process.env, HOST: host, PORT: String(port), ...tls, ...env },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  let ended = false
  child.once('exit', (code) => {
    ended = true
    process.exitCode = code ?? 0
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  const url = `${tls.NITRO_SSL_CERT ? 'https' : 'http'}://${host}:${port}`
  for (let i = 0; i < 6000 && !ended; i++) {
    if (i === 50) console.log('Looking the data through …')
    if (await listening(host, port)) {
      console.log(said(url))
      return
    }
    await new Promise((next) => setTimeout(next, 100))
  }
  if (!ended) {
    child.kill()
    console.error('The server did not answer within ten minutes.')
    process.exitCode = 1
  }
}

/** A certificate and its key, where SETT_CERT and SETT_KEY say in which files they are. */
function certificate() {
  const { SETT_CERT: cert, SETT_KEY: key } = process.env
  if (!cert && !key) return {}
  stopUnless(cert && key && existsSync(cert) && existsSync(key), 'SETT_CERT and SETT_KEY both name a file in PEM form.')
  return { NITRO_SSL_CERT: readFileSync(cert, 'utf8'), NITRO_SSL_KEY: readFileSync(key, 'utf8') }
}

/** Whether something listens there. */
async function listening(host, port) {
  const { connect } = await import('node:net')
  return new Promise((done) => {
    const socket = connect(port, ['0.0.0.0', '::'].includes(host) ? '127.0.0.1' : host)
    socket.once('connect', () => done(true)).once('error', () => done(false))
    socket.once('connect', () => socket.destroy())
  })
}

async function freeFrom(port, host) {
  const { createServer } = await import('node:net')
  for (let p = port; p < port + 50; p++) {
    const free = await new Promise((done) => {
      const server = createServer()
        .once('error', () => done(false))
        .once('listening', () => server.close(() => done(true)))
      server.listen(p, host)
    })
    if (free) return p
  }
  return port
}
