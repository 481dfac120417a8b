import { request } from 'node:http'

export interface Got {
  readonly status: number
  readonly headers: Readonly<Record<string, string | string[] | undefined>>
  readonly text: string
}

/** A request just as it is written, with its path and its headers: `fetch` would tidy both up. */
export function ask(
  url: string,
  method: string,
  path: string,
  headers: Readonly<Record<string, string>> = {},
  body?: unknown,
): Promise<Got> {
  const { hostname, port } = new URL(url)
  return new Promise((done, failed) => {
    const req = request({ method, host: hostname, port, path, headers, insecureHTTPParser: true }, (res) => {
      let text = ''
      res.on('data', (d: Buffer) => (text += d.toString()))
      res.on('end', () => done({ status: res.statusCode!, headers: res.headers, text }))
    })
    req.on('error', failed)
    if (body !== undefined) {
      req.setHeader('content-type', 'application/json')
      req.write(JSON.stringify(body))
    }
    req.end()
  })
}

/** A session's cookie, as an answer gives it. */
export const cookieIn = ({ headers }: Got): string => String(headers['set-cookie'] ?? '').split(';')[0]!

export const PASS = 'seven lanterns in a row'

/** Somebody signs in for the first time, by a code that a keeper made: their session. */
export async function joined(url: string, keeper: string, person: object): Promise<string> {
  const made = await ask(url, 'POST', '/api/people', { cookie: keeper }, person)
  if (made.status !== 200) throw new Error(made.text)
  const { code } = JSON.parse(made.text) as { code: string }
  return cookieIn(await ask(url, 'POST', '/api/session/code', {}, { code, passphrase: PASS }))
}

/** Everybody signs in from now on: the first keeper's session. */
export const firstKeeper = async (url: string): Promise<string> =>
  cookieIn(await ask(url, 'POST', '/api/people/first', {}, { name: 'Rowan', passphrase: PASS }))
