import type { Ref } from 'vue'
import { capital } from '../../../../core/door'
import type { FrameLayout } from '../../../../core/representation/abacus/layout'

interface Given {
  readonly frame: Ref<HTMLElement | null>
  /** The digits shown, the lowest rod first. */
  readonly shown: Ref<readonly number[]>
  readonly layout: () => FrameLayout
  /** Whether rods are spoken at all. */
  readonly spoken: () => boolean
  readonly reading: (rod: number) => string
  readonly say: (text: string) => void
}

/** Says each rod as a finger comes over it, and as what it shows changes: for a frame that is worked by touch. */
export function useSpokenRods({ frame, shown, layout, spoken, reading, say }: Given) {
  watch(shown, (now, was) => {
    if (!spoken()) return
    const changed = now.map((_, rod) => rod).filter((rod) => now[rod] !== was[rod])
    if (changed.length > 0)
      say(
        changed
          .reverse()
          .map((rod) => capital(reading(rod)))
          .join('. '),
      )
  })
  let felt = -1
  function feel(event: PointerEvent): void {
    if (!spoken() || !frame.value) return
    const box = frame.value.getBoundingClientRect()
    const rod = shown.value.length - 1 - Math.floor((event.clientX - box.left) / layout().rod)
    if (rod === felt || rod < 0 || rod >= shown.value.length) return
    felt = rod
    say(capital(reading(rod)))
  }
  return { feel }
}
