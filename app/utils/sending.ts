/** Sending what waits in this browser: what the server refuses is told apart from what only cannot go just now. */

/** Answers that will be the same however often it is asked; every other one (sign in first, too often, no room …) may be another the next time. */
const FOR_GOOD: readonly number[] = [400, 409, 410, 413, 422]

export const isRefusedForGood = (error: unknown): boolean =>
  FOR_GOOD.includes((error as { status?: number } | null)?.status ?? 0)

interface Way<T> {
  /** Sends some, all of them or none. */
  readonly post: (some: readonly T[]) => Promise<unknown>
  /** The server has it on disk. */
  readonly sent: (one: T) => Promise<unknown>
  /** The server will never take it, and why. */
  readonly refused: (one: T, why: string) => Promise<unknown>
}

/** Sends things together; where one of them is refused, each by itself, so that it holds no other up. Says why some have to wait, if they do. */
export async function sendAll<T>(things: readonly T[], way: Way<T>): Promise<string> {
  try {
    await way.post(things)
    for (const one of things) await way.sent(one)
    return ''
  } catch (error) {
    const why = (error as Error).message
    if (!isRefusedForGood(error)) return why
    if (things.length === 1) {
      await way.refused(things[0]!, why)
      return ''
    }
  }
  for (const one of things) {
    const trouble = await sendAll([one], way)
    // The others wait with it: what stops this one would stop them too.
    if (trouble) return trouble
  }
  return ''
}
