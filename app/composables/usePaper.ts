import type { PrintItem, PrintSetting } from '../../core/paper/index'
import type { PaperAnswer, PaperWish } from '../../workers/paper'

type Wish = PaperWish extends infer W ? (W extends PaperWish ? Omit<W, 'turn'> : never) : never
type Laid = Extract<PaperAnswer, { job: 'laid' }>

/** As many pages as are drawn at once to be looked at. */
const SEEN_AT_ONCE = 12

/** Sheets laid out in a worker, seen page by page, and made into a file. What is wished later takes the place of what was wished before. */
export function usePaper(atOnce = SEEN_AT_ONCE) {
  const laid = shallowRef<Laid | null>(null)
  const pages = shallowRef<readonly string[]>([])
  const busy = ref<'' | 'laying' | 'writing'>('')
  const progress = shallowRef<{ readonly done: number; readonly of: number } | null>(null)
  const trouble = ref('')
  let worker: Worker | undefined
  let turn = 0
  let layTurn = 0
  /** Who waits for a file or a drawing. */
  const waiting = new Map<number, { done: (answer: PaperAnswer) => void; failed: (why: Error) => void }>()

  const send = (wish: Wish): number => {
    worker!.postMessage(JSON.parse(JSON.stringify({ ...wish, turn: ++turn })))
    return turn
  }
  function ended(why: string): void {
    for (const { failed } of waiting.values()) failed(new Error(why))
    waiting.clear()
    busy.value = ''
    progress.value = null
  }
  function opened(): Worker {
    const made = new Worker(new URL('../../workers/paper.ts', import.meta.url), { type: 'module' })
    made.onmessage = ({ data }: MessageEvent<PaperAnswer>) => {
      if (data.job === 'progress') progress.value = data
      else if (data.job === 'laid') {
        if (data.turn !== layTurn) return
        laid.value = data
        pages.value = []
        busy.value = ''
        progress.value = null
        more()
      } else if (data.job === 'seen') {
        if (data.from === pages.value.length && data.turn > layTurn) pages.value = [...pages.value, ...data.pages]
      } else if (data.job === 'failed' && !waiting.has(data.turn)) {
        trouble.value = 'The sheets could not be laid out. Change something, or load the page again.'
        busy.value = ''
      } else {
        const { done, failed } = waiting.get(data.turn) ?? {}
        waiting.delete(data.turn)
        if (data.job === 'failed') failed?.(new Error('That could not be made. Try it once more.'))
        else done?.(data)
      }
    }
    made.onerror = () => {
      trouble.value = 'The sheets could not be laid out. Load the page again.'
      ended(trouble.value)
    }
    return made
  }

  function lay(setting: PrintSetting, items: readonly PrintItem[]): void {
    worker ??= opened()
    trouble.value = ''
    busy.value = 'laying'
    layTurn = send({ job: 'lay', setting, items })
  }
  /** Draws some more of the pages, to be looked at. */
  function more(): void {
    const from = pages.value.length
    send({ job: 'see', from, to: from + atOnce })
  }
  const answered = (wish: Wish): Promise<PaperAnswer> =>
    new Promise((done, failed) => waiting.set(send(wish), { done, failed }))

  /** All pages as one file. @throws Error where it was stopped. */
  async function pdf(title: string): Promise<Uint8Array> {
    busy.value = 'writing'
    try {
      const answer = await answered({ job: 'pdf', title })
      return answer.job === 'file' ? answer.file : new Uint8Array()
    } finally {
      busy.value = ''
      progress.value = null
    }
  }
  /** One page as a drawing with its fonts. */
  async function svg(page: number): Promise<string> {
    const answer = await answered({ job: 'svg', page })
    return answer.job === 'drawing' ? answer.svg : ''
  }
  /** Lets go of what is being made. */
  function stop(): void {
    worker?.terminate()
    worker = undefined
    ended('Stopped.')
  }
  onBeforeUnmount(stop)
  return { laid, pages, busy, progress, trouble, lay, more, pdf, svg, stop }
}
