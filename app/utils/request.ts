/** A refusal of the server, with the sentence meant for people. */
export class ServerRefusal extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message)
  }
}

const NO_ANSWER = 'Sett’s server does not answer. Nothing on this screen is lost; start it again and try once more.'

/** How far long work is. */
export type Progress = (done: number, of: number) => void

/** Work of the server that takes a while: a text sent to be taken in (which a signal stops), or something to be done. */
interface LongWork {
  readonly method?: 'POST' | 'DELETE'
  readonly text?: string
  readonly signal?: AbortSignal
}

/** Has the server do something that takes a while, told how far it is. @throws ServerRefusal as `request` does. */
export async function requestLong<T>(
  url: string,
  told: Progress,
  { method = 'POST', text, signal }: LongWork,
): Promise<T> {
  const headers = { 'content-type': 'application/json', accept: 'application/x-ndjson' }
  const broken = (why: string): never => {
    throw new ServerRefusal(0, signal?.aborted ? 'Stopped. Nothing was imported.' : why)
  }
  const response = await fetch(url, {
    method,
    headers,
    ...(text === undefined ? {} : { body: text }),
    ...(signal ? { signal } : {}),
  }).catch(() => broken(NO_ANSWER))
  if (response.status === 401) window.dispatchEvent(new Event('sett:sign-in'))
  if (!response.ok || !response.body) {
    const { detail } = (await response.json().catch(() => ({}))) as { detail?: string }
    throw new ServerRefusal(response.status, detail ?? 'The server could not do that.')
  }
  // What is done at once is answered at once.
  if (!/x-ndjson/.test(response.headers.get('content-type') ?? '')) return (await response.json()) as T
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read().catch(() => broken('Sett’s server stopped answering.'))
    if (done) return broken('Sett’s server stopped answering.')
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) {
      const said = JSON.parse(line) as {
        done?: number
        of?: number
        result?: T
        problem?: { status: number; detail: string }
      }
      if (said.problem) throw new ServerRefusal(said.problem.status, said.problem.detail)
      if ('result' in said) return said.result as T
      told(said.done ?? 0, said.of ?? 0)
    }
  }
}

/** Asks the server. @throws ServerRefusal with a sentence that can be shown as it is. */
export async function request<T>(
  url: string,
  options: { method?: string; body?: unknown; text?: string } = {},
): Promise<T> {
  const body = options.text ?? (options.body === undefined ? undefined : JSON.stringify(options.body))
  let response: Response
  try {
    response = await fetch(url, {
      method: options.method ?? 'GET',
      ...(body === undefined ? {} : { body, headers: { 'content-type': 'application/json' } }),
    })
  } catch {
    throw new ServerRefusal(0, NO_ANSWER)
  }
  if (response.status === 401) window.dispatchEvent(new Event('sett:sign-in'))
  if (response.status === 204) return undefined as T
  const answer = (await response.json().catch(() => ({}))) as { detail?: string }
  if (!response.ok) throw new ServerRefusal(response.status, answer.detail ?? 'The server could not do that.')
  return answer as T
}
