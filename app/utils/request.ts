/** A refusal of the server, with the sentence meant for people. */
export class ServerRefusal extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message)
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
    throw new ServerRefusal(
      0,
      'Sett’s server does not answer. Nothing on this screen is lost; start it again and try once more.',
    )
  }
  if (response.status === 204) return undefined as T
  const answer = (await response.json().catch(() => ({}))) as { detail?: string }
  if (!response.ok) throw new ServerRefusal(response.status, answer.detail ?? 'The server could not do that.')
  return answer as T
}
