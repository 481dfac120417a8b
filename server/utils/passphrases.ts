import { refuse } from './problem'

/** So many letters are weighed: more of them make a passphrase no easier to guess, and the work would grow with their square. */
const WEIGHED = 32
/** So many guesses it takes at the least, as a power of ten: what is found with fewer is found by trying what people often choose. */
const LEAST_GUESSES = 8

/** The package with its lists, fetched when somebody first chooses a passphrase. */
let weighing: Promise<(text: string, about: string[]) => number> | undefined

async function weigher(): Promise<(text: string, about: string[]) => number> {
  const [{ zxcvbn, zxcvbnOptions }, { dictionary, adjacencyGraphs }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ])
  zxcvbnOptions.setOptions({ dictionary, graphs: adjacencyGraphs })
  return (text, about) => zxcvbn(text, about).guessesLog10
}

/**
 * Refuses a new passphrase that is among the first that anybody would try: a well-known one, rows of keys, the same again and again, the
 * name of whose it is. Comparing with lists of what is often chosen is what NIST SP 800-63B asks for (5.1.1.2, from memory).
 */
export async function mustBeHardToGuess(passphrase: string, field: string, name: string): Promise<void> {
  weighing ??= weigher()
  const guesses = (await weighing)(passphrase.slice(0, WEIGHED), [name, 'sett'])
  if (guesses >= LEAST_GUESSES) return
  const detail =
    'That passphrase is among the first that somebody would try. Take three or four words that have nothing to do with each other.'
  refuse(422, detail, [{ pointer: `/${field}`, detail }])
}
