import { type Chains, type ChainWish, setChains } from '../core/course/index'
import { attempt } from '../core/index'

/** What the worker answers: the chains, or why the wish makes no sense. */
export type ChainsAnswer = { readonly chains: Chains; readonly ms: number } | { readonly refused: string }

self.onmessage = ({ data }: MessageEvent<ChainWish>): void => {
  const begun = performance.now()
  const done = attempt(() => setChains(data))
  const answer: ChainsAnswer =
    'ok' in done ? { chains: done.ok, ms: performance.now() - begun } : { refused: done.refused.message }
  self.postMessage(answer)
}
