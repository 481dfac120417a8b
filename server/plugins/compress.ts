import { brotliCompressSync, constants, gzipSync } from 'node:zlib'

/** The pages are the same few every time: each is compressed once for each way a browser can read it. */
const done = new Map<string, Buffer>()
/** How many are kept. */
const MOST = 20

const WAYS = {
  br: (body: string) => brotliCompressSync(body, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
  gzip: (body: string) => gzipSync(body, { level: 9 }),
} as const

/** Sends the HTML compressed; scripts and styles lie compressed on disk already. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response, { event }) => {
    const { body } = response
    if (typeof body !== 'string' || body.length < 1024) return
    const accepted = getRequestHeader(event, 'accept-encoding') ?? ''
    const way = (['br', 'gzip'] as const).find((w) => new RegExp(`\\b${w}\\b`).test(accepted))
    if (!way) return
    const key = `${way} ${body}`
    const made = done.get(key) ?? WAYS[way](body)
    if (done.size >= MOST) done.clear()
    done.set(key, made)
    response.body = made
    response.headers = { ...response.headers, 'content-encoding': way, vary: 'accept-encoding' }
  })
})
