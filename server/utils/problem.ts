import { createError, type H3Event, readRawBody, setResponseHeader, setResponseStatus } from 'h3'
import type { z } from 'zod'

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
  404: 'Not found',
  409: 'Something else is there already',
  413: 'Too large',
  415: 'Another kind of content is wanted',
  422: 'Some of it will not do',
}

/** Stops the request with a problem answer. */
export function refuse(status: number, detail: string, errors?: readonly FieldError[]): never {
  throw createError({ statusCode: status, data: { detail, ...(errors ? { errors } : {}) } })
}

/** Turns any error into a problem answer; what was not meant for people is not shown to them. */
export function problemOf(error: { statusCode?: number; data?: unknown }): ProblemDetails {
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

/** Reads a JSON body of at most `most` bytes. Refuses what is too large (413), no JSON (400), or no text at all. */
export async function jsonBody(event: H3Event, most: number): Promise<unknown> {
  if (!/^application\/json\b/.test(event.node.req.headers['content-type'] ?? ''))
    refuse(415, 'JSON is wanted here (content-type: application/json).')
  const announced = Number(event.node.req.headers['content-length'] ?? 0)
  const large = `That is larger than ${most / 1_000_000} MB, more than Sett reads at once.`
  if (announced > most) refuse(413, large)
  const text = (await readRawBody(event, 'utf8')) ?? ''
  if (Buffer.byteLength(text) > most) refuse(413, large)
  if (text.trim() === '') refuse(400, 'The request has no content.')
  try {
    return JSON.parse(text)
  } catch {
    refuse(400, 'The content is not complete JSON. If it is a file, it may have been cut off when it was copied.')
  }
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
