import type { IncomingMessage } from 'node:http'
import { createError, getQuery, type H3Event, setResponseHeader, setResponseStatus } from 'h3'
import type { z } from 'zod'
import { answerFor } from '../db/trouble'

/** One trouble inside a body: a JSON pointer to the place and a sentence. */
export interface FieldError {
  readonly pointer: string
  readonly detail: string
}

/** An answer of RFC 9457 (Problem Details for HTTP APIs). */
export interface ProblemDetails {
  readonly type: string
  readonly title: string
  readonly status: number
  readonly detail: string
  readonly errors?: readonly FieldError[]
}

const TITLES: Readonly<Record<number, string>> = {
  400: 'That could not be read',
  401: 'Sign in first',
  403: 'That is not for you to do',
  404: 'Not found',
  405: 'That cannot be done here',
  409: 'Something else is there already',
  410: 'Erased',
  413: 'Too large',
  415: 'Another kind of content is wanted',
  421: 'Another server is meant',
  422: 'Some of it will not do',
  423: 'Locked for a while',
  429: 'Too often',
}

/** Stops the request with a problem answer. */
export function refuse(status: number, detail: string, errors?: readonly FieldError[]): never {
  throw createError({ statusCode: status, data: { detail, ...(errors ? { errors } : {}) } })
}

/** Turns any error into a problem answer; what was not meant for people is not shown to them. */
export function problemOf(error: { statusCode?: number; data?: unknown }): ProblemDetails {
  const ofData = answerFor((error as { cause?: unknown }).cause ?? error)
  if (ofData) return { type: 'about:blank', title: 'Nothing was kept', ...ofData }
  const status = error.statusCode && error.statusCode >= 400 && error.statusCode < 600 ? error.statusCode : 500
  const data = (error.data ?? {}) as { detail?: string; errors?: readonly FieldError[] }
  const title = TITLES[status] ?? (status < 500 ? 'That cannot be done' : 'Sett made a mistake')
  const detail =
    data.detail ??
    (status < 500
      ? status === 404
        ? 'There is nothing at this address.'
        : 'The request cannot be answered as it stands.'
      : 'Nothing was changed. Try again; if it stays so, restart Sett.')
  return { type: 'about:blank', title, status, detail, ...(data.errors ? { errors: data.errors } : {}) }
}

/** Writes a problem answer. */
export function sendProblem(event: H3Event, problem: ProblemDetails): string {
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return JSON.stringify(problem)
}

const pointerOf = (path: readonly PropertyKey[]): string =>
  path.map((p) => `/${String(p).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('')

/** The troubles that Zod found, each with its pointer. At most twenty: nobody reads more. */
export const fieldErrors = (error: z.ZodError, under = ''): FieldError[] =>
  error.issues.slice(0, 20).map((issue) => ({ pointer: under + pointerOf(issue.path), detail: issue.message }))

/** How deep lists and objects may lie in each other: nothing that Sett reads goes half as deep. */
const MOST_DEPTH = 64

/** Watches, piece by piece, whether a text opens more lists and objects inside each other than Sett reads. Looked for before anything is made of it. */
export function depthWatch(): (bytes: Uint8Array) => boolean {
  let depth = 0
  let quoted = false
  let escaped = false
  return (bytes) => {
    // What structures JSON is ASCII, and no byte of another letter looks like it.
    for (let i = 0; i < bytes.length; i++) {
      const byte = bytes[i]
      if (escaped) escaped = false
      else if (quoted) {
        if (byte === BACKSLASH) escaped = true
        else if (byte === QUOTE) quoted = false
      } else if (byte === QUOTE) quoted = true
      else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
        depth += 1
        if (depth > MOST_DEPTH) return true
      } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth -= 1
    }
    return false
  }
}
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [...'"\\[]{}'].map((c) => c.charCodeAt(0))

/** What a body is called where it is too large: 2 MB, 100 kB. */
const sizeText = (bytes: number): string => (bytes >= 1_000_000 ? `${bytes / 1_000_000} MB` : `${bytes / 1000} kB`)

/** What of a body too large is still taken from the wire and thrown away, so that its sender comes to read the answer: bytes, milliseconds. */
const STILL_TAKEN = { bytes: 100_000_000, time: 10_000 }

/** Lets the rest of a body run by, unkept, until it ends, breaks off, or goes on for too long. */
async function letRunBy(req: IncomingMessage): Promise<void> {
  let taken = 0
  await new Promise<void>((done) => {
    const late = setTimeout(done, STILL_TAKEN.time)
    const end = () => {
      clearTimeout(late)
      done()
    }
    req.on('data', (chunk: Buffer) => {
      taken += chunk.length
      if (taken > STILL_TAKEN.bytes) end()
    })
    req.once('end', end).once('close', end)
    req.resume()
  })
  req.pause()
}

/** Reads a JSON body of at most `most` bytes, and keeps nothing of it as soon as it is more, whatever length was announced. */
export async function bodyBytes(event: H3Event, most: number): Promise<Buffer[]> {
  const { req, res } = event.node
  if (!/^application\/json\b/.test(req.headers['content-type'] ?? ''))
    refuse(415, 'JSON is wanted here (content-type: application/json).')
  const chunks: Buffer[] = []
  const isTooDeep = depthWatch()
  let deep = false
  let size = Number(req.headers['content-length'] ?? 0)
  if (size <= most) {
    size = 0
    // The loop leaves the stream open, so that what still comes can run by.
    for await (const chunk of req.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      size += chunk.length
      if (size > most) break
      deep ||= isTooDeep(chunk)
      if (!deep) chunks.push(chunk)
    }
  }
  if (size > most) {
    chunks.length = 0
    await letRunBy(req)
    res.shouldKeepAlive = false
    refuse(413, `That is larger than ${sizeText(most)}, more than Sett reads at once.`)
  }
  if (deep) refuse(400, 'Lists lie in lists there, deeper than in anything that Sett writes.')
  return chunks
}

export const NO_CONTENT = 'The request has no content.'
export const BROKEN_JSON =
  'The content is not complete JSON. If it is a file, it may have been cut off when it was copied.'

/** Reads a body of at most `most` bytes as text. Refuses what is too large (413), or nothing at all (400). */
export async function bodyText(event: H3Event, most: number): Promise<string> {
  const text = Buffer.concat(await bodyBytes(event, most)).toString('utf8')
  return text.trim() === '' ? refuse(400, NO_CONTENT) : text
}

/** Reads a JSON body of at most `most` bytes. Refuses what is too large (413), no JSON (400), or no text at all. */
export async function jsonBody(event: H3Event, most: number): Promise<unknown> {
  const text = await bodyText(event, most)
  try {
    return JSON.parse(text)
  } catch {
    refuse(400, BROKEN_JSON)
  }
}

/** What a query says, checked: a name that is unknown or comes twice is refused, and never passed over. */
export function checkedQuery<S extends z.ZodType>(event: H3Event, schema: S): z.output<S> {
  const query = getQuery(event)
  const twice = Object.entries(query).find(([, value]) => Array.isArray(value))
  if (twice) refuse(422, `“${twice[0].slice(0, 30)}” stands twice in the address.`)
  const parsed = schema.safeParse(query)
  if (parsed.success) return parsed.data
  const unknown = parsed.error.issues.find((issue) => issue.code === 'unrecognized_keys')
  refuse(422, unknown ? 'The address asks for something that Sett does not know.' : parsed.error.issues[0]!.message)
}

/** Reads and checks a body. */
export async function checkedBody<S extends z.ZodType>(
  event: H3Event,
  schema: S,
  most = 1_000_000,
): Promise<z.output<S>> {
  const parsed = schema.safeParse(await jsonBody(event, most))
  if (!parsed.success) {
    const errors = fieldErrors(parsed.error)
    refuse(422, errors[0]?.detail ?? 'Some of it will not do.', errors)
  }
  return parsed.data
}
