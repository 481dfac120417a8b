import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Rights } from '../../server/utils/route'
import { rightsOf } from '../../server/utils/route'

/** An address of the API in one way, with what its own handler says of who may use it. */
export interface Address {
  readonly method: string
  /** As `/api/learners/:id`. */
  readonly pattern: string
  readonly rights: Rights | undefined
}

/** The addresses that the files under server/api make. */
export async function addressesInFiles(): Promise<readonly Address[]> {
  const found: Address[] = []
  for (const file of readdirSync('server/api', { recursive: true, withFileTypes: true })) {
    if (!file.isFile()) continue
    const path = join(file.parentPath, file.name)
    const [, word, method] = /^server\/api\/(.+)\.(get|post|put|delete)\.ts$/.exec(path)!
    const pattern = `/api/${word}`.replaceAll('[id]', ':id').replace(/\/index$/, '')
    const { default: handler } = (await import(join(process.cwd(), path))) as { default: unknown }
    found.push({ method: method!.toUpperCase(), pattern, rights: rightsOf(handler) })
  }
  return found.sort((a, b) => (`${a.pattern} ${a.method}` < `${b.pattern} ${b.method}` ? -1 : 1))
}

/** The addresses that the built server's own router has, all but that of the app's page. */
export function addressesBuilt(): readonly string[] {
  const built = readFileSync('.output/server/chunks/nitro/nitro.mjs', 'utf8')
  return [...built.matchAll(/\{ route: '([^']*)', handler: [^,]+, lazy: \w+, middleware: (\w+), method: ([^ ]+) \}/g)]
    .filter(([, route, middleware]) => route !== '' && middleware === 'false')
    .map(
      ([, route, , method]) => `${method === 'undefined' ? 'ANY' : method!.replaceAll('"', '').toUpperCase()} ${route}`,
    )
    .sort()
}
